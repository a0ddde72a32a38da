# frozen_string_literal: true

module Application
  # Courses of several evenings for the people of a class: the order of the projects, and what is worked out beside the page.
  class Courses
    MOST = 8
    LESSONS = 16

    # @param comparisons [Comparisons] tells who the group is @param runner [Work::Runner] @param results [Results]
    def initialize(studio, runner, results, comparisons)
      @studio = studio
      @results = results
      @comparisons = comparisons
      @once = Work::Once.new(runner, MOST)
      @proposals = Work::Once.new(runner, MOST)
    end

    # @param inputs [Core::Planning::Inputs] of an evening @return [Core::Planning::Inputs] the group after it
    def self.after(inputs, design)
      plan = inputs.with(design: design, attendees: inputs.attendees.map { |one| one.with(colourway: nil) }).plan
      inputs.with(attendees: Core::Logbook::ExperienceGained.after(plan, Core::Live::LiveState.new(plan, [])))
    rescue Core::Making::InvalidParameters, Core::UnknownKey
      inputs
    end

    # @param keys [Array<String>] of projects @return [Array<Core::Course::Lesson>] those that can be built
    def lessons(id, keys)
      result = @results.of(id)
      table = result.library.table
      result.projects.map(&:design).select { |design| keys.include?(design.key) }.first(LESSONS)
        .filter_map { |design| Core::Course::Lesson.of(design, table) }
    end

    # @param lessons [Array<Core::Course::Lesson>] @return [Core::Course::Sequence] for this group
    def sequence(id, lessons)
      result = @results.of(id)
      Core::Course::Sequence.new(lessons, result.library.table.techniques, known(result))
    end

    # Looks for evenings that lead this group to a goal.
    # @param goal [String] "project/KEY" or "technique/KEY" @param dates [Array<Date>] as many as there may be evenings @return [Work::Job]
    def propose(id, goal, dates)
      result = @results.of(id)
      @proposals.ask(proposal_digest(result, goal, dates), title: 'A course to a goal', about: [:course_goal, id]) {
        Tasks::ProposeCourse.new(inputs: @comparisons.group(result), designs: result.projects.map(&:design).reject(&:test_piece),
          known: known(result), goal: goal, dates: dates, market: result.market, stock: @comparisons.free_stock(id))
      }
    end

    # @return [Work::Job::State] found: Tasks::ProposeCourse::Found
    def proposal(id, goal, dates)
      @proposals.state(proposal_digest(@results.of(id), goal, dates))
    end

    # @param dates [Array<Date>] @return [Array<Store::Classes::Stored>] other classes on these days
    def taken(dates)
      @studio.classes.coming(dates.min).select { |one| dates.include?(one.state.workshop.date) }
    end

    # @param order [Array<String>] project keys @param dates [Array<Date>] @return [Work::Job]
    def ask(id, order, dates)
      result = @results.of(id)
      @once.ask(digest(result, order, dates), title: 'A course', about: [:course, id]) {
        designs = order.map { |key| result.projects.map(&:design).find { |design| design.key == key } }
        Tasks::ForecastCourse.new(inputs: @comparisons.group(result), designs: designs, market: result.market,
          stock: @comparisons.free_stock(id),
          dates: dates)
      }
    end

    # @return [Work::Job::State] found: [Core::Comparison::Suitability] as far as it has come, or nil
    def state(id, order, dates)
      @once.state(digest(@results.of(id), order, dates))
    end

    # Makes the classes of a course, its people knowing what they practised before. @return [Array<Integer>] their ids
    def make(id, order, dates)
      result = @results.of(id)
      inputs = result.inputs
      versions = result.projects.to_h { |saved| [saved.design.key, saved] }
      order.zip(dates).each_with_index.map do |(key, date), i|
        saved = versions.fetch(key)
        workshop = result.workshop.with(date: date, title: "#{saved.design.name}, evening #{i + 1} of #{order.size}",
          teaching: result.workshop.teaching.with(order: [], prepared: {}))
        attendees = inputs.attendees.map { |one| one.with(colourway: nil) }
        state = Store::ClassState.new(workshop: workshop, project_version_id: saved.id, attendees: attendees)
        inputs = Courses.after(inputs.with(workshop: workshop), saved.design)
        @studio.classes.create(state)
      end
    end

    private

    # @return [Array<String>] keys of the techniques that most of the group know
    def known(result)
      inputs = @comparisons.group(result)
      result.library.table.techniques.values.select { |technique| known_to_most?(inputs, technique) }.map(&:key)
    end

    def known_to_most?(inputs, technique)
      familiarity = Core::People::Familiarity
      people = inputs.attendees
      people.count { |one| familiarity.of(one, technique, inputs.workshop.date) >= familiarity::KNOWN } * 2 > people.size
    end

    def proposal_digest(result, goal, dates)
      Digest.of([goal, digest(result, [], dates)])
    end

    def digest(result, order, dates)
      Digest.of([result.id, order, dates.map(&:iso8601), *%i[stored catalogue market projects].map { |part| result.digest(part) }])
    end
  end
end
