# frozen_string_literal: true

module Core
  module Construction
    # What every construction is: a declared header, and how its parameters and a target length become a work-up.
    #
    # A construction answers #fill (nil when its length is fixed) and #work_up(solution, maker).
    class Base
      extend ClassAttribute
      extend Declaring
      include LayingOut

      # What a step can say of the parameters.
      SAYABLE = [Catalogue::Part, Catalogue::Line, Measure::Length, Integer, Symbol].freeze

      declares :key
      declares :rank

      # @param swatches [Array<Catalogue::Swatch>] what was measured; the first of the same thing counts
      # @param shown [Making::Measured, nil] what samples of it showed
      def initialize(values, swatches = [], shown: nil)
        @values = values
        @swatches = swatches
        @shown = shown
      end

      # @return [Array<Catalogue::Part, Catalogue::Line>] that it can be made of
      def made_of
        @values.each_value.flat_map do |value|
          case value
          when Catalogue::Part, Catalogue::Line then [value]
          when Pattern then value.expand(1).uniq
          when Chart then value.palette.values
          else []
          end
        end
      end

      # @return [Array<OwnMeasure::Use>] what of it can be measured, and whether it was
      def measurable
        []
      end

      # @return [Array<Problem>] what does not go together although each parameter reads well
      def problems
        []
      end

      # @return [Making::Fill, nil] how its length grows with whole repeats; nil when it is fixed
      def fill
        nil
      end

      # @return [Measure::Length] on the path at its shortest, for a component that does not fill
      def fixed_length
        Measure::Length::ZERO
      end

      # @return [Measure::Length] how much longer it can be worn
      def play
        Measure::Length::ZERO
      end

      # @return [Measure::Length] how much shorter than asked it lies when it is drawn in, so that what is asked lies within its play
      def tightened_by
        play / 2
      end

      # @param target [Measure::Length, nil] the length to meet on the path; nil for a fixed component
      # @param maker [Maker]
      # @return [WorkUp, Making::OutOfReach]
      def call(target:, maker:)
        solution = fill && solve(target)
        solution.is_a?(Making::OutOfReach) ? solution : make(solution, maker)
      end

      # @param target [Measure::Length] @return [Making::Solution, Making::OutOfReach]
      def solve(target)
        found = Making::Repeats.solve(fill, target)
        stretches? ? found.stretched_to(target) : found
      end

      # @param place [Symbol] :first or :last
      # @return [Measure::Length] wire of its outermost part there that lies beyond the length: it counts where nothing else hangs in it
      def beyond(_place)
        Measure::Length::ZERO
      end

      # @param solution [Making::Solution, nil] nil for a fixed component @return [WorkUp]
      def make(solution, maker)
        made = in_order(work_up(solution, maker))
        return made if @shown.nil? || (@shown.take - 1).zero?

        made.with(cuts: made.cuts.map { |cut| cut.taking(@shown.take, along: made.lengths.beaded) })
      end

      # @param solution [Making::Solution, nil] nil for a fixed component
      # @return [Array<Element>] what lies on the path, in order from the first end; it adds up to the work-up's length
      def on_line(solution)
        raise NotImplementedError, "#{self.class} does not say what lies on the line"
      end

      # @return [Measure::Length] what a solution takes on the path
      def path_length(solution)
        solution.length
      end

      # @param work_up [WorkUp] @param identity [Hash] key, name, made: of the part @return [Catalogue::Part, nil] what it is to those who
      #   use it, once it is made; nil where it cannot be made apart
      def as_part(_work_up, **_identity)
        nil
      end

      # @return [Boolean] whether it meets any length exactly
      def stretches?
        false
      end

      private

      # Steps mostly differ in numbers alone: what waits for what is found once.
      # @return [WorkUp] with the order of its steps; its ends and anchors know which steps close and open them
      def in_order(made)
        facts = (@facts ||= {})[made.steps.map(&:key)] ||= Making::Facts.new(made.steps)
        made.with(order: facts.places, ends: made.ends.transform_values { |one| one.in_order_of(facts) },
          anchors: Lazy.new { made.places.map { |one| one.in_order_of(facts) } })
      end

      # What every step can say: the parts, lines, lengths, numbers and ways that were chosen.
      # @return [Hash{Symbol=>Object}]
      def said
        @said ||= @values.select { |_, value| SAYABLE.any? { |type| value.is_a?(type) } }.freeze
      end

      # @param name [Symbol] declared by .measures @param usual [Float] by geometry or from memory @return [OwnMeasure::Use]
      def measure(name, line, about, usual)
        measure = self.class.own_measures.fetch(name)
        asked = Catalogue::Swatch.new(construction: self.class.key, measure: name, line: line.key, about: about, value: nil)
        own = @swatches.find { |swatch| swatch.same?(asked) }&.value
        usual /= @shown.size if @shown && measure.unit == :number
        Making::OwnMeasure::Use.new(construction: self.class.key, measure: measure, line: line, about: about, usual: usual, own: own)
      end

      def problem(at, code, **values)
        Making::DesignProblem.new(at: [at], code: code, values: values)
      end

      # What is worn keeps this height: the tallest of these parts carries the line there.
      def tallest(parts)
        parts.map(&:height_above_skin).max || Measure::Length::ZERO
      end

      def term(code, length, **values)
        Making::Term.new(operation: :part, code: code, length: length, values: values)
      end

      # Words for a step stand under the construction's key.
      def step(key, technique, repeats, **rest)
        values = rest[:values] ? said.merge(rest[:values]) : said
        Making::StepUse.new(key: key, technique: technique, repeats: repeats, text: self.class.step_text(key), **rest, values: values)
      end

      def count(part, number, role)
        Making::PartUse.new(part: part, count: number, role: role)
      end

      # @param rows [Array<(Catalogue::Part, Symbol)>] parts with their roles
      # @return [Array<PartUse>] each part of each role once, counted times over
      def tally(rows, times = 1)
        rows.tally.map { |(part, role), number| count(part, number * times, role) }
      end

      # @return [Measure::Length] what a part takes on the line
      def along(part)
        part.along
      end

      def lengthwise(parts)
        Measure::Length.sum(parts.map(&:along))
      end

      # @param parts [Array<Catalogue::Part>] threaded on a line @return [Array<Element>]
      def elements(parts)
        known = Hash.new { |made, part| made[part] = Making::ThreadedElement.of(part, along: part.threaded) }.compare_by_identity
        parts.map { |part| known[part] }
      end

      # @return [Measure::Length] that parts take of a line that runs through them
      def threaded(parts)
        Measure::Length.sum(parts.map(&:threaded))
      end

      # One join for each kind of bead a line runs through.
      def through(line, beads, passes: 1)
        beads.uniq.map { |part| Making::Join.new(kind: :lines_through, inner: line, outer: part, at: 0.0, passes: passes) }
      end
    end
  end
end
