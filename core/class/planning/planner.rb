# frozen_string_literal: true

module Core
  module Planning
    # Works a plan out: what the Fitter says of each piece, and how it is taught.
    class Planner
      # @param fittings [Planning::Fittings] of the same design and table
      def initialize(workshop, design, attendees, table, calibration, open_rings, fittings = Fittings.new(design, table))
        @workshop = workshop
        @design = design
        @attendees = attendees
        @whole_table = table
        @calibration = calibration
        @table = worked_with(workshop)
        @fitter = Fitter.new(workshop, design, attendees, table, open_rings: open_rings, fittings: fittings)
        # A design that the catalogue cannot build raises at once, before any person is planned.
        fittings.blueprint(nil)
        @orders = {}
        @takes = Hash.new { |known, technique| known[technique] = Steps::PracticeBag.takes(technique) }.compare_by_identity
        # The steps of pieces that are made alike, in order.
        @ordered = {}.compare_by_identity
        begin_lists
      end

      # @return [Plan]
      def plan
        kits = people + extras
        Plan.new(workshop: @workshop, design: @design, people: people, extras: extras, usual: Lazy.new { sample }, steps: planned_steps,
          needs: Materials::Need.sum(kits.flat_map(&:needs)), spares: Materials::Spares.of(kits.select(&:fitted?),
            confidence: supply.confidence.fdiv(100), learnt: learnt_losses),
          tools: tool_needs, timetable: timetable, order: common.order, own_steps: teaching.ways.empty? ? [] : common.beyond, table: @table)
      end

      # @return [PersonPlan] one attendee's part
      def person_plan(attendee)
        own = @fitter.own(attendee)
        own.fitted? ? taught(own) : PersonPlan.new(own: own, needs: [], cuts: [], tools: {}, tasks: [])
      end

      # The same class with other choices: pieces already fitted are used again.
      # @param workshop [Workshop] with the same supply choices and the same order of steps @param attendees [Array<People::Attendee>] some
      #   of them
      # @return [Plan]
      def replan(workshop, attendees = @attendees)
        dup.changed(workshop, attendees).plan
      end

      protected

      def changed(workshop, attendees)
        @workshop = workshop
        @table = worked_with(workshop)
        @attendees = attendees
        @fitter = @fitter.among(attendees)
        @people = @extras = @alike = @fitted_people = @timetable = @common = @minutes = @sample = nil
        begin_lists
        self
      end

      private

      # Techniques with the tools that stand in, as long as samples of the design took.
      def worked_with(workshop)
        @whole_table.standing_in(workshop.teaching.stand_ins).paced(@design.pace)
      end

      def begin_lists
        @times = Steps::StepTime.new(@calibration, on: @workshop.date, poor_light: @workshop.session.poor_light)
        @lists = Steps::Lists.new(@table, @workshop.teaching, @workshop.date)
      end

      def people
        @people ||= @attendees.map { |attendee| person_plan(attendee) }
      end

      def supply
        @workshop.supply
      end

      def learnt_losses
        Materials::Loss::Learnt.new(by_kind: @calibration.losses, rejected: @calibration.rejects)
      end

      # Kits for people who may still come, as beginners of a usual or the largest size there is.
      def extras
        @extras ||= begin
          sized = people.reject(&:assumed).sort_by(&:measure)
          model = supply.extra_size == :largest ? sized.last : sized[sized.size / 2]
          (1..(model ? supply.extra_kits : 0)).map do |number|
            person_plan(People::Attendee.new(key: "extra-#{number}", name: "Late sign-up #{number}", level: 1,
              measures: model.attendee.measures, ease: model.attendee.ease))
          end
        end
      end

      def fitted_people
        @fitted_people ||= people.select(&:fitted?)
      end

      def tool_needs
        used = fitted_people.to_h { |person| [person.attendee, person.tools] }
        Steps::ToolNeed.for_class(used, @table, @workshop.tool_sets, more: @workshop.session.more_tools,
          at_once: Steps::Overlap.most(timetable.rows))
      end

      def timetable
        @timetable ||= sum_timetable
      end

      def sum_timetable
        tasks = fitted_people.to_h { |person| [person.attendee.key, person.tasks] }
        Steps::Sum.timetable(tasks, @workshop.minutes, @calibration)
      end

      def sample
        @sample ||= person_plan(People::Attendee.new(key: 'sample', name: '', level: 3, measures: Sizing::SizeSearch.usual_measures))
      end

      # @param own [OwnPiece] fitted
      def taught(own)
        list = @lists.for(own.attendee, @ordered[own.piece.steps] ||= ordered(own.piece.steps))
        bag = practice_bag(list, own.piece)
        needs = without(own.needs, left_out(list, own.piece))
        PersonPlan.new(own: own, needs: bag.parts.empty? ? needs : Materials::Need.more(needs, bag.parts),
          cuts: bag.cuts.empty? ? own.cuts : own.cuts + Cutting::CutNeed.from(bag.cuts), practice: bag,
          tools: list.tools, tasks: tasks(list, own.attendee), spared: list.spared)
      end

      # Parts of steps that are left out for this level: nobody puts them on.
      # @return [Array<Making::PartUse>] of all that are made alike
      def left_out(list, piece)
        list.spared.select { |_, why| why == :shorter }.flat_map do |step, _|
          uses = piece.work_ups.fetch(step.component).parts.select { |use| step.gives.include?(use.role) }
          uses.map { |use| use.with(count: use.count * @design.made) }
        end
      end

      def without(needs, uses)
        uses.empty? ? needs : Materials::Need.less(needs, uses)
      end

      # What they practise with, out of the parts and lines of the piece.
      def practice_bag(list, piece)
        practised = list.items.each_index.select { |i| list.items[i].kind == :practice }
        Steps::PracticeBag.new(practised.map { |i| [@takes[list.items[i].technique], list.items[i + 1].step] }, piece)
      end

      # Pieces of one design mostly differ in numbers, not in their steps: then the order found once serves all.
      # @return [Hash{Symbol=>Object}] order: StepOrder, places: of its steps among these
      def order_of(steps)
        @orders[steps.flat_map { |step| [step.key, step.technique] }] ||= begin
          order = Steps::StepOrder.of(steps, @table, by_hand: teaching.order, minutes: method(:mean_minutes), school: teaching.school)
          keys = steps.map(&:key)
          { order: order, places: order.steps.map { |step| keys.index(step.key) } }
        end
      end

      def ordered(steps)
        steps.values_at(*order_of(steps)[:places])
      end

      # @return [Float] what a step takes the people of the class on average, each by level and experience
      def mean_minutes(step)
        return @table.technique(step.technique).seconds * step.effort * step.repeats / 60.0 if @attendees.empty?

        alike.sum { |same| @times.minutes(step, @table.technique(step.technique), same.first) * same.size } / @attendees.size
      end

      # @return [Array<Array<People::Attendee>>] those who take the same time for the same step
      def alike
        @alike ||= @attendees.group_by { |attendee| [attendee.level, attendee.experience, attendee.left_handed?] }.values
      end

      # @return [CommonSteps]
      def common
        @common ||= CommonSteps.new(leader, fitted_people, method(:order_of))
      end

      # Who works it as the design says leads.
      def leader
        ways = OwnWays.new(teaching.ways, @design, @whole_table)
        fitted_people.find { |person| ways.for(person.attendee).empty? } || fitted_people.first || sample
      end

      def teaching
        @workshop.teaching
      end

      def tasks(list, attendee)
        shown = {}
        list.items.map do |item|
          demonstration = shown[item.technique.key] || item.kind == :extra ? 0 : item.technique.demonstration_minutes
          shown[item.technique.key] = true
          working = @times.working(item.step, item.technique, attendee) if item.kind == :step
          Steps::Task.new(step: item.step, technique: item.technique, kind: item.kind, reason: item.reason,
            demonstration_minutes: demonstration,
            minutes: working ? working.minutes * @design.made : set_minutes(item), holding: item.holding, working: working)
        end
      end

      def set_minutes(item)
        item.kind == :practice ? item.technique.practice_minutes : teaching.extra_minutes
      end

      def planned_steps
        levels = people.map { |person| person.attendee.level }.uniq.sort
        order = common.order
        order.steps.zip(order.reasons).each_with_index.map { |(step, reason), index| planned_step(step, reason, index + 1, levels) }
      end

      def planned_step(step, reason, number, levels)
        technique = @table.technique(step.technique)
        PlannedStep.new(number: number, step: step, technique: technique, reason: reason,
          tools: technique.tools.uniq.map { |key| @table.tool(key) },
          minutes_by_level: levels.to_h { |level| [level, minutes_at(step.key, level)] },
          cautions: (technique.cautions + step.cautions).uniq, numbers: common.numbers(step))
      end

      # @return [Float] the mean of those at this level who are fitted
      def minutes_at(key, level)
        @minutes ||= people.group_by { |person| person.attendee.level }.transform_values do |same|
          same.flat_map(&:tasks).group_by { |task| task.step.key }
        end
        tasks = @minutes.fetch(level)[key]
        tasks ? tasks.sum(&:minutes) / tasks.size : 0.0
      end
    end
  end
end
