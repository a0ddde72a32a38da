# frozen_string_literal: true

module Core
  module Construction
    module Kinds
      # Work that no other construction knows, as someone enters it: parts, one line cut by a sum, and steps in their own words.
      class OwnWork < Base
        key :own_work
        rank 170
        takes_hanging

        parameter :parts, :pattern, default: [].freeze
        # On the path where the parts do not give it a length.
        parameter :length, :length, default: '0 mm', range: Measure::Length::ZERO..Measure::Length.mm(2000)
        # Whether it fills the length that the other components leave.
        parameter :takes_rest, :boolean, default: true
        parameter :line, :line, required: false
        parameter :cuts, :integer, default: 1, range: 1..60
        # Each cut: a fixed length and a share of the length it is made to.
        parameter :cut_fixed, :length, default: '100 mm', range: Measure::Length::ZERO..Measure::Length.mm(5000)
        parameter :cut_percent, :integer, default: 100, range: 0..2000
        parameter :work, :work, default: 'measuring: Measure and lay out.'

        def fill
          return @fill ||= repeating if parts.fills?

          @fill ||= Making::Fill.new(base: Measure::Length::ZERO, step: Measure::Length.mm(1), height: tallest(parts.expand), fewest: 1,
            most: 5000) if takes_rest
        end

        def solve(target)
          parts.fills? ? super : super.stretched_to(target, repeats: 1)
        end

        def stretches?
          takes_rest && !parts.fills?
        end

        def fixed_length
          length.positive? ? length : parts.fixed_length
        end

        def on_line(solution)
          return elements(parts.expand(solution.repeats)) if parts.fills?

          [Making::ThreadedElement.new(along: solution ? solution.length : fixed_length, height: tallest(parts.expand),
            width: tallest(parts.expand) * 2, profile: :bare)]
        end

        private

        def repeating
          Making::Fill.new(base: parts.fixed_length, step: parts.unit_length, height: tallest(parts.unit),
            most: Pattern::LARGEST / parts.unit.size)
        end

        def work_up(solution, _maker)
          made = solution ? solution.length : fixed_length
          row = parts.expand(solution ? solution.repeats : 0)
          Making::WorkUp.new(parts: tally(row.map { |part| [part, :part] }), cuts: line ? [cut(made)] : [], steps: steps, joins: [],
            drawing: Lazy.new { layout(row, made) }, lengths: lengths(solution, made), anchors: Lazy.new { anchors(row) })
        end

        def anchors(row)
          origins = parts.origins(row.size, 'parts')
          row.any? ? part_anchors(row, origins.first(row.size)) : []
        end

        def cut(made)
          Making::Cut.new(line: line, count: cuts, role: :own, body: made * Rational(cut_percent, 100), consumption: Measure::Length::ZERO,
            tails: cut_fixed)
        end

        def lengths(solution, made)
          Making::Lengths.new(beaded: made, repeats: (solution.repeats if parts.fills?), unit: (fill.step if parts.fills?),
            working: [term(:as_entered, made)])
        end

        # Each after the one before it, as it was written.
        def steps
          work.each_with_index.map do |one, i|
            step("work_#{i + 1}", one.technique, one.repeats, needs: i.zero? ? [] : [:"done_#{i}"],
              gives: [:"done_#{i + 1}", *(%i[part line] if i.zero?)], checkpoint: one.checkpoint,
              values: { words: one.words })
              .with(text: :own_work)
          end
        end

        def layout(row, made)
          at = running(row, [(made.to_mm - threaded(row).to_mm) / 2, 0.0].max)
          [(line_shape(line, made.to_mm) if line), *row.each_with_index.map { |part, i| part_shape(part, :part, at[i]) }].compact
        end
      end
    end
  end
end
