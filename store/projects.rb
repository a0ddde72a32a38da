# frozen_string_literal: true

module Store
  # Designs, each saved version kept as it was: a class planned on one is not changed by the next.
  class Projects
    include Transactional

    # One saved version.
    #
    # @param id its row
    # @param design Core::Project::Design
    Saved = Core::Value.define(:id, :design)

    def initialize(database)
      super
      @versions = {}
    end

    # @return [Array<Saved>] the newest version of each design, by name
    def newest
      newest = @database[:project_versions].group(:project_key).select { max(:id) }
      known(@database[:project_versions].where(id: newest).order(:name).select_map(:id))
    end

    def none?
      @database[:project_versions].empty?
    end

    def key?(key)
      !@database[:project_versions].where(project_key: key).empty?
    end

    # @return [Array<Saved>] the newest of each, and older ones that classes were planned with
    def in_use
      planned = @database[:classes].distinct.select_map(:project_version_id)
      (newest + known(planned)).uniq(&:id)
    end

    # @return [Saved] @raise [NotFound]
    def version(id)
      @versions[id] ||= saved(@database[:project_versions].first(id: id) || raise(NotFound.new(:project, id)))
    end

    # @return [Saved] the newest version of one design @raise [NotFound]
    def find(key)
      saved(@database[:project_versions].where(project_key: key).reverse(:version).first || raise(NotFound.new(:project, key)))
    end

    # @param design [Core::Project::Design] saved as the version after the newest
    # @return [Saved] the newest one itself when nothing differs
    def save(design)
      write do
        newest = @database[:project_versions].where(project_key: design.key).reverse(:version).first
        numbered = design.with(version: newest ? newest[:version] + 1 : 1)
        next saved(newest) if newest && saved(newest).design.with(version: numbered.version) == numbered

        Saved.new(id: insert(numbered), design: numbered)
      end
    end

    private

    # A version never changes: only those not read before are read, all at once.
    # @param ids [Array<Integer>] @return [Array<Saved>] in the same order
    def known(ids)
      missing = ids - @versions.keys
      @database[:project_versions].where(id: missing).each { |row| @versions[row[:id]] = saved(row) } if missing.any?
      @versions.values_at(*ids)
    end

    def insert(design)
      @database[:project_versions].insert(project_key: design.key, version: design.version, name: design.name, made_at: Time.now.utc,
        document: JSON.generate(Core::Data::Records::DESIGN.write(design)))
    end

    def saved(row)
      Saved.new(id: row[:id], design: Core::Data::Records::DESIGN.read(JSON.parse(row[:document])).with(version: row[:version]))
    end
  end
end
