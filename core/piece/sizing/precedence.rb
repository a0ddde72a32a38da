# frozen_string_literal: true

module Core
  module Sizing
    # Which steps of a piece wait for steps of its other components. Steps are named "component/step".
    class Precedence
      # @param standing [Placements] @param work_ups [Hash{String=>Making::WorkUp}] of the whole piece
      # @param meetings [Array<Array(Array(String, Making::Attachment))>] pairs of component and its end that meet
      # @param closure [Array<String>] components that close the piece, none where it is closed by nothing that is fastened
      # @param steps [Array<Making::StepUse>] of the whole piece, as their own components order them
      def initialize(design, standing, work_ups, meetings, closure, steps)
        @closure = closure
        @design = design
        @standing = standing
        @work_ups = work_ups
        @meetings = meetings
        @steps = steps
        @waits = Hash.new { |waits, step| waits[step] = [] }
      end

      # @return [Array] equal for two pieces of one design whose steps wait for the same; sizes mostly differ in numbers alone
      def outline
        @outline ||= [@closure, @steps.map { |step| [step.key, step.after, step.text] },
          @meetings.map { |sides| sides.map { |key, one| [key, one.opening_step, one.closing_step] } },
          @design.hung.map { |component| @standing.hanging(component).then { |key, anchors| [key, anchors.map(&:closing_step)] } }]
      end

      # @return [Hash{String=>Array<String>}] step to those it waits for; nil for one that waits for none
      def across
        hold_open
        thread_finished
        hang_on_finished
        use_what_is_made
        cut_to_what_is_made
        hard_parts_first
        hang_last
        fasten_first
        @waits.default = nil
        @waits
      end

      # What cannot be opened is threaded as it is, on the line that it hangs on.
      # @return [Hash{String=>Array<Project::Component>}] step that strings such a line => what is threaded in it
      def threaded
        @threaded ||= @design.hung.each_with_object({}) do |component, found|
          place, anchors = @standing.hanging(component)
          next if @work_ups.fetch(component.key).ends[:first]&.opening_step
          next unless anchors.any? { |anchor| anchor.item.is_a?(Catalogue::Line) && anchor.closing_step }

          string = steps_of(place).find { |step| step.gives.include?(:bead) }
          (found[string.key] ||= []) << component if string
        end
      end

      private

      def thread_finished
        threaded.each { |step, components| components.each { |one| @waits[step].concat(all_steps(one.key)) } }
      end

      # Hard parts come before soft lines: a wire eye is closed in a part before lines end in the same part, where it does not itself wait
      # for them.
      def hard_parts_first
        met = @meetings.filter_map do |sides|
          eye, other = sides.partition { |_, one| one.closing_step && one.item.is_a?(Catalogue::Part) }
          [eye.first.first, other.first.first] if eye.size == 1 && other.first.last.item.is_a?(Catalogue::Part)
        end
        return if met.empty?

        met.each do |hard, soft|
          line_ends(soft).each { |step| @waits[step].concat(last_steps(hard)) unless all_steps(hard).intersect?(waiting_for(step)) }
        end
      end

      # @return [Array<String>] steps of a component that close the ends of its lines
      def line_ends(key)
        steps_of(key).select { |step| step.pictured.is_a?(Making::LineEnd) }.map(&:key)
      end

      # What hangs on a component must be on before the step that closes it; what can itself be opened is hung in a part afterwards.
      def hold_open
        @design.hung.each do |component|
          place, anchors = @standing.hanging(component)
          opens = @work_ups.fetch(component.key).ends[:first]&.opening_step
          anchors = anchors.select { |anchor| anchor.item.is_a?(Catalogue::Line) } if opens
          anchors.filter_map(&:closing_step).uniq.each { |closing| @waits["#{place}/#{closing}"].concat(all_steps(component.key)) }
        end
      end

      # What opens to hang in something waits until that is finished. Only parts meet so: a line is closed where it hangs.
      def hang_on_finished
        @meetings.each do |first, second|
          next if [first, second].any? { |_, one| one.item.is_a?(Catalogue::Line) }

          opening = Joints.worker([first, second]) or next
          key, opener = opening
          other, place = opening.equal?(second) ? first : second
          next if place.loose

          step = opener.opening_step || opener.closing_step
          @waits["#{key}/#{step}"].concat(last_steps(other))
        end
      end

      # What is made apart is there before a step puts it on, or before work begins where no step says so.
      def use_what_is_made
        @work_ups.each do |key, work_up|
          work_up.parts.select { |use| use.part.made? }.each do |use|
            taking = steps_of(key).select { |step| step.gives.include?(use.role) }
            taking = steps_of(key).select { |step| step.after.empty? } if taking.empty?
            taking.each { |step| @waits[step.key].concat(last_steps(use.part.made)) }
          end
        end
      end

      # A row is drawn up in the circle in which it is worn: the closure is there before, where it does not itself wait for that.
      def fasten_first
        return if @closure.empty?

        @steps.select { |step| step.values[:circle] }.each do |drawn_up|
          fastened = @closure.flat_map { |key| all_steps(key) }
          @waits[drawn_up.key].concat(fastened) unless fastened.intersect?(waiting_for(drawn_up.key))
        end
      end

      # What takes up the rest is cut once the length of the rest is known.
      def cut_to_what_is_made
        made = @work_ups.keys.select { |key| Construction::Kinds.fetch(@design.component(key).construction).measured_when_made? }
        return if made.empty?

        @steps.select { |step| step.takes_rest && !made.include?(step.component) }.each { |step|
          @waits[step.key].concat(made.flat_map { |other| steps_of(other).select(&:checkpoint).map(&:key) })
        }
      end

      # An ear wire is hung when all else is done but what itself waits for it.
      def hang_last
        @steps.select(&:last).each do |last|
          @waits[last.key].concat(@steps.map(&:key) - waiting_for(last.key) - [last.key])
        end
      end

      # @return [Array<String>] keys of the steps that wait for one, directly or for another that does
      def waiting_for(key)
        found = [key]
        loop do
          more = @steps.select { |step| !found.include?(step.key) && (step.after + @waits[step.key]).intersect?(found) }.map(&:key)
          return found - [key] if more.empty?

          found.concat(more)
        end
      end

      def all_steps(key)
        steps_of(key).map(&:key)
      end

      # @param key [String] of a component @return [Array<Making::StepUse>] its own, with keys "component/step"
      def steps_of(key)
        (@by_component ||= @steps.group_by(&:component)).fetch(key, [])
      end

      # @return [Array<String>] steps of a component that nothing else of it waits for, without what is done when all else is
      def last_steps(key)
        steps = steps_of(key).reject(&:last)
        steps.map(&:key) - steps.flat_map(&:after)
      end
    end
  end
end
