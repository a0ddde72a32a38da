# frozen_string_literal: true

module Application
  # What the held classes teach about the techniques, and using it. Nothing changes before it is used.
  class Lessons
    MOST = 4
    # Losses are told and kept to a tenth of a hundredth.
    LOSS_DIGITS = 3

    # One technique. before: seconds before anything was learnt · learnt, low, high: seconds · used: whether now
    # comes from it
    Row = Core::Value.define(:skill, :tries, :classes, :before, :learnt, :low, :high, :used)

    # Losses of one kind of part, as shares of uses. before: from memory · now: reckoned with · used: whether now comes from it
    Loss = Core::Value.define(:kind, :uses, :lost, :classes, :before, :learnt, :low, :high, :now, :used)

    # @param studio [Store::Studio] @param runner [Work::Runner] @param results [Results]
    def initialize(studio, runner, results)
      @studio = studio
      @results = results
      @once = Work::Once.new(runner, MOST)
    end

    # @return [Work::Job]
    def ask
      @once.ask(digest, title: 'What classes taught', about: [:lessons]) { Tasks::Learn.new(classes: held,
        calibration: library.calibration) }
    end

    # @return [Work::Job::State] found: Tasks::Learn::Learnt or nil
    def state
      @once.state(digest)
    end

    # @return [Array<Row>] as far as they are known
    def rows
      used = @studio.lessons_used.all
      (state.found&.times || []).filter_map do |lesson|
        skill = library.table.techniques[lesson.technique] or next
        before = used.fetch(skill.key, skill.seconds)
        Row.new(skill: skill, tries: lesson.tries, classes: lesson.classes, before: before, used: used.key?(skill.key),
          **%i[learnt low high].zip(
          [lesson.factor, lesson.low, lesson.high].map { |factor| rounded(before * factor) }
        ).to_h)
      end
    end

    # @param keys [Array<String>] of techniques @return [Integer] how many times changed
    def use(keys)
      chosen = rows.select { |row| keys.include?(row.skill.key) && row.learnt != row.skill.seconds }
      @studio.write do
        chosen.each { |row| @studio.lessons_used.note(row.skill.key, row.skill.seconds) }
        @studio.catalogue.save(:techniques, chosen.map { |row| row.skill.with(seconds: row.learnt) }) if chosen.any?
      end
      chosen.size
    end

    # @return [Array<Loss>] as far as they are known
    def losses
      used = library.calibration.losses
      (state.found&.losses || []).map do |lesson|
        before = Core::Bill::Loss.usual(lesson.kind)
        Loss.new(kind: lesson.kind, uses: lesson.uses, lost: lesson.lost, classes: lesson.classes, before: before,
          learnt: lesson.rate.round(LOSS_DIGITS), low: lesson.low, high: lesson.high, now: used.fetch(lesson.kind.to_s, before),
          used: used.key?(lesson.kind.to_s))
      end
    end

    # @param kind [String, nil] of part, nil for all @return [Integer] how many changed
    def use_losses(kind = nil)
      chosen = losses.select { |one| (kind.nil? || one.kind.to_s == kind) && one.learnt != one.now }
      return 0 if chosen.empty?

      relearn_losses { |now| now.merge(chosen.to_h { |one| [one.kind.to_s, one.learnt] }) }
      chosen.size
    end

    # @return [Boolean] whether there was anything to take back
    def take_back_loss(kind)
      return false unless library.calibration.losses.key?(kind)

      relearn_losses { |now| now.except(kind) }
      true
    end

    # Back to what it was before anything was learnt. @return [Boolean] whether there was anything to take back
    def take_back(key)
      before = @studio.lessons_used.all[key] or return false
      skill = library.table.techniques[key] or return false
      @studio.write do
        @studio.catalogue.save(:techniques, [skill.with(seconds: before)])
        @studio.lessons_used.forget(key)
      end
      true
    end

    private

    def relearn_losses
      calibration = @studio.settings.calibration
      @studio.calibrate(calibration.with(losses: yield(calibration.losses)))
    end

    def library
      @results.now.library
    end

    # Seconds are told and kept to three figures.
    def rounded(seconds)
      seconds.round(seconds < 10 ? 2 : 1)
    end

    # As they were before anything was learnt, so that the same classes teach the same whatever is used.
    def held
      before = @studio.lessons_used.all.filter_map { |key, seconds| (skill = library.table.techniques[key]) && [key,
        skill.with(seconds: seconds)] }.to_h
      table = library.table.with(techniques: library.table.techniques.merge(before))
      @studio.classes.some(@studio.live_events.taught).filter_map do |stored|
        events = @studio.live_events.of(stored.id)
        [library.inputs(stored.state).with(table: table), events] if events.any? { |event| event.kind == :end }
      end
    end

    def digest
      Digest.of([@studio.revision, library.catalogue_digest])
    end
  end
end
