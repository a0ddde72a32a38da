# frozen_string_literal: true

module Application
  # What the held classes teach, and using it. Nothing changes before it is used.
  class Lessons
    MOST = 4
    SORTS = [Times, People, Losses, Lots, Eases, Prices].freeze

    # @param studio [Store::Studio] @param runner [Work::Runner] @param results [Results] @param today [#call] @return [Date]
    def initialize(studio, runner, results, today: -> { Date.today })
      @studio = studio
      @results = results
      @today = today
      @once = Work::Once.new(runner, MOST)
    end

    # @return [Work::Job]
    def ask
      logbook = self.logbook
      keep = ->(job) { logbook.keep(job.result.fresh) if job.done? }
      @once.ask(logbook.digest, title: 'Learned times', about: [:lessons], changed: keep) { logbook.task }
    end

    # @return [Work::Job::State] found: Tasks::Learn::Found or nil
    def state
      @once.state(logbook.digest)
    end

    # @param found [Tasks::Learn::Found, nil] @return [Hash{String=>Array<Row>}] by sort, as far as they are known
    def rows(found = state.found)
      return {} if found.nil?

      before, fixed = @studio.lessons.before, @studio.lessons.fixed
      sorts.to_h { |name, sort|
        known = before.select { |about, _| about.start_with?("#{name}/") }.transform_keys { |about| about.delete_prefix("#{name}/") }
        [name, sort.rows(found.learnt, known) { |key, *rest| row("#{name}/#{key}", *rest, before, fixed) }]
      }
    end

    # @param chosen [String, nil] about what, such as "time/stringing"; nil for all @return [Integer] how many values changed
    def use(chosen = nil)
      rows = self.rows.transform_values { |all| all.select { |row| row.news? && (chosen.nil? || row.about == chosen) } }
      @studio.write do
        rows.each do |sort, some|
          some.each { |row| @studio.lessons.note(row.about, row.before) }
          sorts.fetch(sort).save(some.to_h { |row| [key_of(row.about), row.learnt] }) if some.any?
        end
      end
      rows.values.sum(&:size)
    end

    # Back to what it was before anything was learnt. @return [Boolean] whether there was anything to take back
    def take_back(about)
      before = @studio.lessons.before[about] or return false
      @studio.write do
        sorts.fetch(about[%r{\A[^/]+}]).reset(key_of(about), before)
        @studio.lessons.forget(about)
      end
      true
    end

    # @param fixed [Boolean] whether classes no longer change it @return [Boolean] whether there is such a thing
    def fix(about, fixed)
      return false unless rows.values.flatten.any? { |row| row.about == about }

      fixed ? @studio.lessons.fix(about) : @studio.lessons.loosen(about)
      true
    end

    private

    def logbook
      Logbook.new(@studio, @results.now.library, @today.call)
    end

    def sorts
      library = @results.now.library
      SORTS.to_h { |sort| [sort::SORT, sort.new(@studio, library)] }
    end

    def key_of(about)
      about.split('/', 2).last
    end

    def row(about, subject, lesson, first, values, now, before, fixed)
      learnt, low, high = values
      Row.new(about: about, subject: subject, lesson: lesson, before: first, learnt: learnt, low: low, high: high, now: now,
        used: before.key?(about), fixed: fixed.include?(about))
    end
  end
end
