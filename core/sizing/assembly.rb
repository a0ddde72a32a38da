# frozen_string_literal: true

module Core
  module Sizing
    # Puts the work-ups of a design's components together into one piece: drawing, working, joins and precedence.
    class Assembly
      GIVING = %i[elastic memory_wire].freeze

      # @param work_ups [Hash{String=>Construction::WorkUp}]
      # @param worn [Measure::Length] asked for inside @param target [Measure::Length] along the line @param bend [Bend]
      def initialize(blueprint, worn, target, bend, work_ups)
        @blueprint = blueprint
        @design = blueprint.design
        @worn = worn
        @target = target
        @bend = bend
        @work_ups = loosened(work_ups)
        @path = @design.path.map { |component| [component.key, work_ups.fetch(component.key)] }
      end

      # @return [Piece]
      def piece
        Piece.new(worn: @worn, inside: inside, slack: @bend.slack, on_line: on_line, target: @target,
          play: @blueprint.play / @design.wraps, wraps: @design.wraps, work_ups: @work_ups,
          drawing: Lazy.new { layout }, working: working, joins: placed_joins + meetings, steps: steps, options: options)
      end

      private

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

      def offsets
        edge = 0.0
        @offsets ||= @path.to_h do |key, work_up|
          start = edge
          edge += work_up.lengths.beaded.to_mm
          [key, start]
        end
      end

      # Components before the middle read outward from the work, so they are drawn turned round.
      def layout
        @path.flat_map { |key, work_up|
          leading?(key) ? turned(work_up, offsets[key]) : work_up.layout.map { |s|
            s.moved(offsets[key])
          }
        } + hung_layout
      end

      def turned(work_up, offset)
        far = offset + work_up.lengths.beaded.to_mm
        work_up.layout.map { |shape| shape.with(x: far - shape.x, turn: 180) }
      end

      def leading?(key)
        @leading ||= @path.map(&:first).take_while { |k| @work_ups[k].lengths.repeats.nil? }
        @leading.include?(key)
      end

      def hung_layout
        @design.hung.flat_map do |component|
          key, anchor = anchor_of(component)
          anchor ? @work_ups[component.key].layout.map { |s| s.with(x: offsets[key] + anchor.x - s.y, y: anchor.y + s.x, turn: 90) } : []
        end
      end

      def anchor_of(component)
        @path.each do |key, work_up|
          anchor = work_up.anchors[component.hung_at]
          return [key, anchor] if anchor
        end
        nil
      end

      # The components' own joins, told where on the piece they lie.
      def placed_joins
        @work_ups.flat_map do |key, work_up|
          start = offsets.fetch(key) { hung_from(key) }
          far = start + work_up.lengths.beaded.to_mm
          work_up.joins.map { |join|
            join.with(component: key, at: offsets.key?(key) && leading?(key) ? far - join.at : offsets.key?(key) ? start + join.at : start)
          }
        end
      end

      # @return [Float] where a hung component hangs
      def hung_from(key)
        place, anchor = anchor_of(@design.hung.find { |component| component.key == key })
        place ? offsets[place] + anchor.x : 0.0
      end

      # Where two components on the path meet: what lies outside hangs in, or takes, what lies inside.
      def meetings
        @path.each_cons(2).flat_map do |(a_key, a), (b_key, b)|
          ends = [leading?(a_key) ? a.ends[:first] : a.ends[:last], b.ends[:first]]
          next [] if ends.any?(&:nil?) || ends.all? { |met| met.item.is_a?(Catalogue::Line) }

          inner, outer = ends.first.item.is_a?(Catalogue::Line) ? ends : ends.reverse
          [Construction::Join.new(kind: :hangs_in, inner: inner.item, outer: outer.item, at: offsets[b_key], passes: inner.passes,
            component: b_key)]
        end
      end

      def steps
        @work_ups.flat_map do |key, work_up|
          placed = ->(keys) { keys.map { |step| "#{key}/#{step}" } }
          work_up.steps.map { |step|
            step = step.with(values: step.values.merge(slack: @bend.slack)) if step.checkpoint && work_up.cuts.any? { |cut| cut.slack.positive? }
            step.with(key: "#{key}/#{step.key}", after: placed.(step.after) + held_open.fetch([key, step.key], []),
              rather_after: placed.(step.rather_after), keeps: step.keeps.transform_values { |till| "#{key}/#{till}" })
          }
        end
      end

      # What hangs on a component must be on before the step that closes it.
      # @return [Hash{(String, String)=>Array<String>}] component and closing step to the steps it waits for
      def held_open
        @held_open ||= @design.hung.each_with_object({}) do |component, held|
          place, anchor = anchor_of(component)
          next unless anchor

          (held[[place, anchor.closing_step]] ||= []).concat(@work_ups[component.key].steps.map { |s| "#{component.key}/#{s.key}" })
        end
      end

      def options
        @path.flat_map do |_, work_up|
          made = work_up.lengths
          made.options.map do |other|
            inside = @blueprint.inside(on_line + (other.length - made.beaded), @bend)
            other.with(length: inside, repeats: repeats - made.repeats + other.repeats, options: [])
          end
        end
      end

      def working
        Working.new(@blueprint, @worn, @target, @path.to_h, on_line, inside, @bend.allowance).terms
      end
    end
  end
end
