# frozen_string_literal: true

module Core
  module Sizing
    # Puts the work-ups of a design's components together into one piece: drawing, working, joins and precedence.
    class Assembly
      GIVING = %i[elastic memory_wire].freeze
      # What hangs by a loop that a crimp or shell closes.
      CRIMPED = %i[cable thread].freeze

      # @param bend [Bend] @param work_ups [Hash{String=>Construction::WorkUp}] of one of each component
      def initialize(blueprint, bend, work_ups)
        @blueprint = blueprint
        @design = blueprint.design
        @bend = bend
        @standing = Standing.new(@design, work_ups)
        @drawn = LaidOut.new(@design, work_ups, @standing)
        @work_ups = loosened(@standing.work_ups)
        @path = @design.path.map { |component| [component.key, work_ups.fetch(component.key)] }
      end

      # Whoever asks for another size and gets the same work shares all but how it came about.
      # @param worn [Measure::Length] asked for inside @param target [Measure::Length] along the line
      # @param others [Hash{String=>Array<Solution>}] of components on the path, the other ways within reach
      # @return [Piece]
      def piece(worn, target, others)
        Piece.new(**shared, worn: worn, target: target, options: options(others),
          working: Working.new(@blueprint, worn, target, @path.to_h, on_line, inside, @bend.allowance).terms)
      end

      private

      # @return [Hash{Symbol=>Object}] fields of a piece
      def shared
        @shared ||= {
          inside: inside, slack: @bend.slack, on_line: on_line, play: @blueprint.play / @design.wraps, wraps: @design.wraps,
          work_ups: @work_ups, drawing: Lazy.new { @drawn.shapes }, joins: placed_joins + met + loops, steps: steps,
          measurable: @blueprint.measurable
        }
      end

      # The lines on the path have the slack, in proportion to their lengths; elastic and memory wire give by themselves.
      def loosened(work_ups)
        lined = @design.path.map(&:key).select { |key| work_ups.fetch(key).cuts.any? { |cut| !GIVING.include?(cut.line.kind) } }
        return work_ups if lined.empty? || @bend.slack.zero?

        long = Measure::Length.sum(lined.map { |key| work_ups.fetch(key).lengths.beaded })
        work_ups.merge(lined.to_h do |key|
          work_up = work_ups.fetch(key)
          slack = @bend.slack * (work_up.lengths.beaded / long)
          [key, work_up.with(cuts: work_up.cuts.map { |cut| GIVING.include?(cut.line.kind) ? cut : cut.with(slack: slack) })]
        end)
      end

      def on_line
        @on_line ||= Measure::Length.sum(@path.map { |_, work_up| work_up.lengths.beaded })
      end

      def repeats
        @repeats ||= @work_ups.values.filter_map { |work_up| work_up.lengths.repeats }.sum
      end

      def inside
        @inside ||= @blueprint.inside(on_line, @bend)
      end

      # The components' own joins, told where on the piece they lie.
      def placed_joins
        @work_ups.flat_map do |key, work_up|
          start = @drawn.along(key)
          on_path = @design.path.any? { |component| component.key == key }
          far = start + work_up.lengths.beaded.to_mm
          work_up.joins.map { |join| join.with(component: key,
            at: on_path ? (@drawn.leading?(key) ? far - join.at : start + join.at) : start) }
        end
      end

      def met
        @met ||= meetings + hung_meetings
      end

      # How the loops of lines sit on what they hang in, where that can be said.
      def loops
        hanging = met.select { |join| join.in_place && join.inner.is_a?(Catalogue::Line) && CRIMPED.include?(join.inner.kind) }
        hanging.select { |join| join.loop || join.outer.wire_thickness }.map { |join| join.with(kind: :loops_round) }
      end

      # Where two components on the path meet.
      def meetings
        @path.each_cons(2).filter_map do |(a_key, a), (b_key, b)|
          ends = [facing(a_key, a), b.ends[:first]]
          meeting(*ends, at: @drawn.start(b_key), component: b_key) unless ends.any?(&:nil?)
        end
      end

      # Where something hung meets what it hangs in: what is open until a later step takes it at any time before.
      def hung_meetings
        @design.hung.flat_map do |component|
          _, anchors = @standing.hanging(component)
          own = @work_ups.fetch(component.key).ends[:first] or next []
          anchors.uniq(&:item).filter_map do |anchor|
            place = Construction::End.new(item: anchor.item, closing_step: anchor.closing_step)
            meeting(place, own, at: @drawn.along(component.key), component: component.key)
          end
        end
      end

      # What is thinner hangs in the other: a line in a part, and of two parts the one that is no ring.
      # @param first [Construction::End] @param second [Construction::End] @return [Construction::Join, nil] nil between two lines
      def meeting(first, second, at:, component:)
        lines, parts = [first, second].partition { |one| one.item.is_a?(Catalogue::Line) }
        return if parts.empty?

        inner, outer = lines.any? ? [lines.first, parts.first] : parts.sort_by { |one| one.item.kind == :ring ? 1 : 0 }
        Construction::Join.new(kind: :hangs_in, inner: inner.item, outer: outer.item, at: at, passes: inner.passes, component: component,
          in_place: [first, second].any?(&:closing_step), loop: lines.first&.loop)
      end

      def steps
        @work_ups.flat_map { |key, work_up| work_up.steps.map { |step| placed_step(key, work_up, step) } }
      end

      def placed_step(key, work_up, step)
        placed = ->(keys) { keys.map { |other| "#{key}/#{other}" } }
        looked_at = step.checkpoint && work_up.cuts.any? { |cut| cut.slack.positive? }
        step = step.with(values: step.values.merge(slack: @bend.slack)) if looked_at
        step.with(key: "#{key}/#{step.key}", rather_after: placed.(step.rather_after),
          after: (placed.(step.after) + held_open.fetch([key, step.key], []) + hung_on_finished.fetch([key, step.key], []) +
            made_before(work_up, step).flat_map { |made| last_steps(made) }).uniq,
          keeps: step.keeps.transform_values { |till| "#{key}/#{till}" })
      end

      # What hangs on a component must be on before the step that closes it.
      # @return [Hash{(String, String)=>Array<String>}] component and closing step to the steps it waits for
      def held_open
        @held_open ||= @design.hung.each_with_object({}) do |component, held|
          place, anchors = @standing.hanging(component)
          anchors.filter_map(&:closing_step).uniq.each do |closing|
            (held[[place, closing]] ||= []).concat(@work_ups[component.key].steps.map { |step| "#{component.key}/#{step.key}" })
          end
        end
      end

      # What opens to hang in something waits until that is finished. Only parts meet so: a line is closed where it hangs.
      # @return [Hash{(String, String)=>Array<String>}] component and joining step to the steps it waits for
      def hung_on_finished
        @hung_on_finished ||= all_meetings.each_with_object({}) do |(first, second), waiting|
          next if [first, second].any? { |_, one| one.item.is_a?(Catalogue::Line) }

          (key, opener), (other,) = second.last.closing_step || second.last.opening_step ? [second, first] : [first, second]
          step = opener.opening_step || opener.closing_step or next
          (waiting[[key, step]] ||= []).concat(last_steps(other))
        end
      end

      # @return [Array<Array(Array(String, Construction::End))>] pairs of component and its end that meet, on the path and hung
      def all_meetings
        on_path = @path.each_cons(2).map { |(a_key, a), (b_key, b)| [[a_key, facing(a_key, a)], [b_key, b.ends[:first]]] }
        hung = @design.hung.flat_map do |component|
          parent, anchors = @standing.hanging(component)
          anchors.uniq(&:item).map { |anchor|
            [[parent, Construction::End.new(item: anchor.item)], [component.key, @work_ups.fetch(component.key).ends[:first]]]
          }
        end
        (on_path + hung).reject { |pair| pair.any? { |_, one| one.nil? } }
      end

      # The end of a component on the path that faces its next.
      def facing(key, work_up)
        @drawn.leading?(key) ? work_up.ends[:first] : work_up.ends[:last]
      end

      # @return [Array<String>] components made apart that a step needs: it puts them on, or begins work where no step says so
      def made_before(work_up, step)
        work_up.parts.select { |use| use.part.made? }.select { |use|
          taking = work_up.steps.select { |other| other.adds.include?(use.role) }
          taking.any? ? taking.include?(step) : step.after.empty?
        }.map { |use| use.part.made }.uniq
      end

      # @return [Array<String>] steps of a component that nothing else of it waits for
      def last_steps(key)
        steps = @work_ups.fetch(key).steps
        (steps.map(&:key) - steps.flat_map(&:after)).map { |last| "#{key}/#{last}" }
      end

      def options(others)
        others.flat_map do |key, solutions|
          made = @work_ups.fetch(key).lengths
          solutions.map do |other|
            inside = @blueprint.inside(on_line + (other.length - made.beaded), @bend)
            other.with(length: inside, repeats: repeats - made.repeats + other.repeats, options: [])
          end
        end
      end
    end
  end
end
