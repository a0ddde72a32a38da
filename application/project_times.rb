# frozen_string_literal: true

module Application
  # How long each design of a studio takes, worked out beside the pages once for each state of the catalogue.
  class ProjectTimes
    # @param runner [Work::Runner]
    def initialize(runner)
      @runner = runner
      @jobs = Core::LruCache.new(2)
    end

    # @param library [Library] @return [Work::Job, nil] nil before it was asked for
    def known(library)
      @jobs[key(library)]
    end

    # @param library [Library] @param on [Date] @return [Work::Job] whose news is {design key => [[Alone], [Group]]}
    def ask(library, on)
      @jobs.fetch(key(library)) do
        task = Tasks::TimeProjects.new(designs: library.projects.map(&:design), table: library.table, calibration: library.calibration,
          date: on)
        @runner.submit(task, title: 'How long each project takes', about: :project_times, urgent: false)
      end
    end

    private

    def key(library)
      [library.catalogue_digest, library.projects.map(&:id), Core::Data::Records::CALIBRATION.write(library.calibration)]
    end
  end
end
