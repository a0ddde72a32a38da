# frozen_string_literal: true

module Application
  # How long each design of a studio takes, worked out beside the pages. What was found is kept with the studio, and worked out again
  # only for a design whose parts, techniques or times have changed.
  class ProjectTimes
    # What is known so far.
    #
    # @param kept {design key => [[Alone], [Group]]} from before
    # @param digests {design key => text}
    # @param job [Work::Job, nil] that works out the others
    Known = Struct.new(:kept, :digests, :job, :written) do
      # @return [Work::Job::State]
      def state
        found = job&.state
        Work::Job::State.new(found: kept.merge(found&.found || {}), running: found ? found.running : false)
      end

      # @param seconds [Numeric] at most @return [Boolean] whether all is known
      def wait(seconds)
        job.nil? || job.wait(seconds)
      end
    end

    # @param runner [Work::Runner] @param cache [#[], #put] {digest => plain data}
    def initialize(runner, cache)
      @runner = runner
      @cache = cache
      @known = Core::LruCache.new(2)
    end

    # @param library [Library] @return [Known, nil] nil before it was asked for
    def known(library)
      @known[key(library)]&.tap { |known| keep(known) }
    end

    # @param library [Library] @param on [Date] @return [Known]
    def ask(library, on)
      @known.fetch(key(library)) do
        designs = library.projects.map(&:design)
        digests = digests(designs, library)
        kept = digests.transform_values { |digest| read(@cache[digest]) }.compact
        Known.new(kept, digests, work_out(designs.reject { |design| kept.key?(design.key) }, library, on), kept.keys)
      end
    end

    private

    R = Core::Data::Records
    T = Core::Comparison::ProjectTime

    def key(library)
      [library.catalogue_digest, library.projects.map(&:id), R::CALIBRATION.write(library.calibration)]
    end

    def work_out(designs, library, on)
      return if designs.empty?

      task = Tasks::TimeProjects.new(designs: designs, table: library.table, calibration: library.calibration, date: on)
      @runner.submit(task, title: 'How long each project takes', about: :project_times, urgent: false)
    end

    def digests(designs, library)
      shared = Digest.of([library.table.parts.values, library.table.lines.values, library.table.techniques.values, library.calibration])
      designs.to_h { |design| [design.key, "times-#{Digest.of([design, shared])}"] }
    end

    # Written when all of a design is known.
    def keep(known)
      found = known.job&.state&.found or return
      (found.keys - known.written).each do |design|
        alone, groups = found[design]
        next if groups.nil?

        @cache.put(known.digests.fetch(design), [alone.map(&:to_h), groups.map(&:to_h)])
        known.written += [design]
      end
    end

    # @param data [Array, nil] as it was kept
    def read(data)
      alone, groups = data || return
      [alone.map { |row| T::Alone.new(**row.transform_keys(&:to_sym)) }, groups.map { |row| T::Group.new(**row.transform_keys(&:to_sym)) }]
    end
  end
end
