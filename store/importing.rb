# frozen_string_literal: true

module Store
  # Brings a class from outside into the studio. What the studio already has under the same key and alike is used;
  # a part, line or project that differs comes in under a key of its own, so that the plan stays the same. Parts that the project does not
  # name stay out.
  class Importing
    R = Core::Data::Records

    def initialize(studio)
      @studio = studio
    end

    # @param inputs [Core::Planning::Inputs] @return [Integer] the new class's id
    def call(inputs)
      @studio.write do
        named = R.texts_of(R::DESIGN.write(inputs.design))
        renamed = %i[parts lines].map do |name|
          bring(name, inputs.table.public_send(name).select { |key, _| named.include?(key) })
        end.reduce(:merge)
        add_missing(:tools, inputs.table.tools)
        add_missing(:techniques, inputs.table.techniques)
        saved = @studio.projects.save(named(rewritten(inputs.design, renamed)))
        @studio.classes.create(ClassState.new(workshop: inputs.workshop, project_version_id: saved.id, attendees: inputs.attendees))
      end
    end

    private

    # @return [Hash{String=>String}] old key to new, for those that had to be renamed
    def bring(name, values)
      known = @studio.catalogue.table.public_send(name)
      differing, fresh = values.values.reject { |value| known[value.key] == value }.partition { |value| known.key?(value.key) }
      renamed = differing.to_h { |value| [value.key, free_key(value.key, known, value)] }
      @studio.catalogue.save(name, fresh + differing.map { |value| value.with(key: renamed[value.key]) })
      renamed
    end

    # A key that is free, or that already holds the same thing from an earlier import.
    def free_key(key, known, value)
      (2..).lazy.map { |n| "#{key}-#{n}" }.find { |k| known[k].nil? || known[k] == value.with(key: k) }
    end

    def add_missing(name, values)
      known = @studio.catalogue.table.public_send(name)
      @studio.catalogue.save(name, values.values.reject { |value| known.key?(value.key) })
    end

    def rewritten(design, renamed)
      renamed.empty? ? design : R::DESIGN.read(replace(R::DESIGN.write(design), renamed))
    end

    def replace(data, renamed)
      case data
      when Hash then data.to_h { |key, value| [renamed.fetch(key, key), replace(value, renamed)] }
      when Array then data.map { |value| replace(value, renamed) }
      else renamed.fetch(data, data)
      end
    end

    # The same design comes in as the version it already is; another under the same key as a project of its own.
    def named(design)
      newest = begin
        @studio.projects.find(design.key).design
      rescue NotFound
        return design
      end
      newest.with(version: design.version) == design ? design : design.with(key: "#{design.key}-import", name: "#{design.name} (imported)")
    end
  end
end
