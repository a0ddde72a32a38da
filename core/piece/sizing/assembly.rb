# frozen_string_literal: true

module Core
  module Sizing
    # Puts the work-ups of a design's components together into one piece: drawing, working, joins and precedence.
    class Assembly
      # Lines that are left slack, so that the row bends; elastic and memory wire give by themselves, other wire is bent.
      SLACKENED = %i[cable thread cord rope tape].freeze
      # What a piece is closed with by hand, again and again.
      CLOSING = %i[clasp hook].freeze
      NOTHING = {}.freeze
      # {cut_ROLE: length}
      CUT_LENGTHS = lambda do |cuts|
        cuts.group_by(&:role).to_h { |role, same| [:"cut_#{role}", FromTo.of(same.map(&:measured))] }
      end

      # @param bend [Bend] @param work_ups [Hash{String=>Making::WorkUp}] of one of each component
      def initialize(blueprint, bend, work_ups)
        @blueprint = blueprint
        @design = blueprint.design
        @bend = bend
        @standing = Placements.new(@design, work_ups)
        @drawn = PieceLayout.new(blueprint, work_ups, @standing)
        @work_ups = loosened(@standing.work_ups)
        @path = blueprint.path_keys.map { |key| [key, work_ups.fetch(key)] }
        @hung = @design.hung
        @meetings = Meetings.new(@path, @hung, @work_ups, @standing, @drawn)
      end

      # Two sizes that lead to the same work share all but their working.
      # @param worn [Measure::Length] asked for inside @param target [Measure::Length] along the line
      # @param other_ways [Lazy] see Piece
      # @return [Piece]
      def piece(worn, target, other_ways)
        Piece.new(**shared, worn: worn, target: target, other_ways: other_ways,
          working: Working.new(@blueprint, worn, target, @path.to_h, on_line, inside, @bend.allowance).terms)
      end

      # @return [Integer] of all that fills
      def repeats
        @repeats ||= @work_ups.values.filter_map { |work_up| work_up.lengths.repeats }.sum
      end

      private

      # @return [Hash{Symbol=>Object}] fields of a piece
      def shared
        @shared ||= {
          inside: inside, slack: @bend.slack, doubt: @bend.doubt, on_line: on_line, laid_flat: on_line + @blueprint.beyond,
          play: @blueprint.play / @design.wraps, wraps: @design.wraps, work_ups: @work_ups, drawing: Lazy.new { @drawn.shapes },
          joins: placed_joins + @meetings.joins + @meetings.loops, steps: steps, closing: Lazy.new {
 closing_parts }, measurable: @blueprint.measurable,
          round: !@design.flat?, hanging: (hanging if @standing.from_ear?),
          hung_below: @work_ups.keys.to_h { |key| [key, @standing.below(key)] }
        }
      end

      # A piece that hangs from the ear, with what hangs at its last end.
      # @return [Measure::Length] over all
      def hanging
        key, = @path.last
        on_line + @blueprint.beyond_start + (lowest(key) || (@blueprint.beyond - @blueprint.beyond_start))
      end

      # @return [Measure::Length, nil] how far what hangs on a component reaches below it; nil where nothing does
      def lowest(key)
        below = @hung.select { |component| @standing.hanging(component).first == key }
        below.map { |component|
          @work_ups.fetch(component.key).lengths.beaded +
            (lowest(component.key) || @blueprint.member(component.key).construction.beyond(:last))
        }.max
      end

      # Rows of findings at the ends of a path that is closed; a ring or an extender can be added to them.
      def closing_parts
        closure.flat_map { |key| @work_ups.fetch(key).parts.map(&:part) }.uniq
      end

      # @return [Array<String>] rows of findings at the ends of the path that are fastened in one another; empty where they are not
      def closure
        @closure ||= begin
          outer = @design.body == :own ? [] : [@path.first, @path.last].uniq(&:first)
          ends = outer.select { |key, _| @design.component(key).construction == :findings }
          parts = ends.flat_map { |_, work_up| work_up.parts.map(&:part) }
          parts.any? { |part| CLOSING.include?(part.kind) } ? ends.map(&:first) : []
        end
      end

      # The lines on the path have the slack, in proportion to their lengths.
      def loosened(work_ups)
        lined = @blueprint.path_keys.select { |key| !drawn_tight?(key) && work_ups.fetch(key).cuts.any? { |cut| slackened?(cut.line) } }
        return work_ups if lined.empty? || @bend.slack.zero?

        long = Measure::Length.sum(lined.map { |key| work_ups.fetch(key).lengths.beaded })
        work_ups.merge(lined.to_h do |key|
          work_up = work_ups.fetch(key)
          slack = @bend.slack * (work_up.lengths.beaded / long)
          [key, work_up.with(cuts: work_up.cuts.map { |cut| slackened?(cut.line) ? cut.with(slack: slack) : cut })]
        end)
      end

      def drawn_tight?(key)
        Construction::Kinds.fetch(@design.component(key).construction).drawn_tight?
      end

      def slackened?(line)
        SLACKENED.include?(line.kind)
      end

      def on_line
        @on_line ||= Measure::Length.sum(@path.map { |_, work_up| work_up.lengths.beaded })
      end

      def inside
        @inside ||= @blueprint.inside(on_line, @bend)
      end

      # The components' own joins, told where on the piece they lie.
      def placed_joins
        @work_ups.flat_map do |key, work_up|
          start = @drawn.along(key)
          on_path = @blueprint.path_keys.include?(key)
          far = start + work_up.lengths.beaded.to_mm
          work_up.joins.map { |join| join.with(component: key, passes: join.passes + (join.kind == :faces ? @standing.turns_above(key) : 0),
            at: on_path ? (@drawn.leading?(key) ? far - join.at : start + join.at) : start) }
        end
      end

      def steps
        placed = @work_ups.flat_map { |key, work_up| @blueprint.member(key).placed(work_up) }
        pairs = @meetings.pairs
        precedence = Precedence.new(@design, @standing, @work_ups, pairs, closure, placed)
        waits = @blueprint.waits(precedence)
        placed = threading(placed, precedence.threaded)
        joints = Joints.new(pairs + @meetings.closed_round).by_step
        steps = placed.map { |step| joined(on_piece(step, waits[step.key], about(step, waits[step.key])), joints[step.key]) }
        named_apart(prepared_alone(possible(needed(steps))))
      end

      # @param threaded [Hash{String=>Array<Project::Component>}] see Precedence @return [Array<Making::StepUse>] which say so
      def threading(steps, threaded)
        return steps if threaded.empty?

        steps.map do |step|
          finished = threaded[step.key] or next step
          hung = finished.map { |component| [component.key, Project::Hanging.parse(component.hung_at).which] }
          step.with(preparable: false, values: { **step.values, also: [*step.values[:also], :thread_finished], finished: hung })
        end
      end

      # Two components alike say the same of different things: then each names its component.
      def named_apart(steps)
        alike = steps.group_by(&:text).values.select { |same| same.size > 1 }.flat_map { |same|
          same.group_by(&:values).values.select { |equal| equal.size > 1 }.flatten
        }
        return steps if alike.empty?

        steps.map { |step| alike.include?(step) ? step.with(values: { **step.values, part_of: step.component }) : step }
      end

      # A step can be prepared only if every step before it can, in this component and in the others.
      def prepared_alone(steps)
        by_key = steps.to_h { |step| [step.key, step] }
        able = Hash.new do |known, key|
          step = by_key[key]
          known[key] = step.nil? || (step.preparable && step.after.all? { |other| able[other] })
        end
        steps.map { |step| step.preparable && !able[step.key] ? step.with(preparable: false) : step }
      end

      # What would open for nothing is left out.
      def needed(steps)
        idle = steps.select { |step| step.when_hung && step.values[:hung].empty? }.map(&:key)
        return steps if idle.empty?

        steps.reject { |step| idle.include?(step.key) }.map { |step|
          step.after.intersect?(idle) ? step.with(after: step.after - idle) : step }
      end

      # Steps that wait for each other are a fault of the design, told at the component of the first.
      # @raise [Making::InvalidParameters]
      def possible(steps)
        first, second = StepCircle.of(steps)
        return steps unless first

        names = [first, second].map { |step| "#{@blueprint.table.technique(step.technique).name} (#{step.component.tr('_', ' ')})" }
        component = @design.component(first.component)
        problem = Making::DesignProblem.new(at: ['components', @design.components.index(component)], code: :steps_wait_for_each_other,
          values: { first: names.first, second: names.last })
        raise Making::InvalidParameters.new(component.construction, [problem])
      end

      # Steps that nothing about this piece changes are shared with others.
      # @param waits [Array<String>, nil] for steps of other components @param about [Hash] what it says of this piece
      def on_piece(step, waits, about)
        step = step.with(after: (step.after + waits).uniq) if waits
        about.empty? ? step : step.with(values: step.values.merge(about))
      end

      # A step that cuts says how long, under the role of the cut; a checkpoint, how much line stays bare.
      # What closes the piece, where it is there before a row is drawn up, is fastened for that.
      # @return [Hash{Symbol=>Measure::Length, FromTo, Symbol}]
      def about(step, waits)
        return { circle: :fastened } if step.values[:circle] && fastened_before?(waits)
        return NOTHING unless step.checkpoint || step.key.include?('/cut')

        cuts = @work_ups.fetch(step.component).cuts
        return CUT_LENGTHS[cuts].merge(all_cuts: cuts) if step.key.include?('/cut')

        cuts.any? { |cut| cut.slack.positive? } ? { slack: @bend.slack } : NOTHING
      end

      def fastened_before?(waits)
        closure.any? && waits.to_a.any? { |other| closure.include?(other.split('/').first) }
      end

      # @param taken [Array, nil] what of other components it hangs: it can no more be done before all of them are there
      def joined(step, taken)
        step = step.with(values: step.values.merge(hung: [*step.values[:hung], *taken]), preparable: false) if taken
        told = @blueprint.names.tell_apart(step.values)
        told.equal?(step.values) ? step : step.with(values: told)
      end
    end
  end
end
