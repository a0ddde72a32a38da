# frozen_string_literal: true

require 'json'

module Demo
  # Brings what this version ships and the studio never had: techniques, tools, parts, lines, ways to close and projects.
  # What the studio has stays as it is, and what was once brought and then removed does not come again.
  class Shipping
    R = Core::Data::Records
    RECORDS = { techniques: R::TECHNIQUE, tools: R::TOOL, parts: R::PART, lines: R::LINE }.freeze

    # @param studio [Store::Studio]
    def initialize(studio)
      @studio = studio
    end

    # @return [Integer] how many things came
    def call
      shipped = @studio.seeded.all
      fresh = library_items.reject { |kind, key, _| shipped.include?([kind.to_s, key]) }
      return 0 if fresh.empty?

      @studio.write do
        missing = fresh.reject { |kind, key, _| known?(kind, key) }
        missing.group_by(&:first).each { |kind, items| bring(kind, items.map(&:last)) }
        @studio.seeded.add(fresh.map { |kind, key, _| [kind.to_s, key] })
        missing.size
      end
    end

    private

    # Techniques and parts before the projects that name them. @return [Array<(Symbol, String, Hash)>]
    def library_items
      data = JSON.parse(File.read(File.join(__dir__, 'library.json')))
      [*RECORDS.keys, :closures, :projects].flat_map { |kind|
        data.fetch(kind.to_s).map { |item|
          [kind, item['key'], item]
        }
      } + of_constructions
    end

    # Each construction names the techniques it needs, with their starting values.
    def of_constructions
      Core::Construction::Kinds.techniques.map { |one| [:techniques, one.key, R::TECHNIQUE.write(one)] }
    end

    def known?(kind, key)
      case kind
      when :projects then @studio.projects.key?(key)
      when :closures then @studio.catalogue.closures.any? { |closure| closure.key == key }
      else @studio.catalogue.table.public_send(kind).key?(key)
      end
    end

    def bring(kind, items)
      case kind
      when :projects then items.each { |item| @studio.projects.save(R::DESIGN.read(item)) }
      when :closures then items.each { |item| @studio.catalogue.save_closure(Store::Catalogue::Closure.read(item)) }
      else @studio.catalogue.save(kind, items.map { |item| RECORDS.fetch(kind).read(item) })
      end
    end
  end
end
