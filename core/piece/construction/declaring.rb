# frozen_string_literal: true

module Core
  module Construction
    # What a construction's class says of it, and how one is built of saved parameters.
    module Declaring
      # Says that what is cut for it depends on the body that wears it, not only on the length it fills.
      def cut_to_body
        @cut_to_body = true
      end

      def cut_to_body?
        @cut_to_body == true
      end

      # Says that its line is drawn tight, by weaving, knots or glue: nothing of it is left slack for the piece to bend.
      def drawn_tight
        @drawn_tight = true
      end

      def drawn_tight?
        @drawn_tight == true
      end

      # Says that hands make it longer or shorter than planned: it is measured when it is made, and what takes the rest is cut after that.
      def measured_when_made
        @measured_when_made = true
      end

      def measured_when_made?
        @measured_when_made == true
      end

      def parameter(name, type, **options)
        declared = Parameter.new(name: name, type: type, **options)
        parameters[name] = declared
        class_eval("def #{name} = @values.fetch(:#{name})", __FILE__, __LINE__)
        private name
      end

      def parameters
        @parameters ||= {}
      end

      # Says that things can hang from it: its work-up answers anchors.
      def takes_hanging
        @takes_hanging = true
      end

      def takes_hanging?
        @takes_hanging == true
      end

      # Names what a maker may measure in place of geometry. @param unit [Symbol] :mm, or :number for how many there are
      # @param range [Range<Numeric>]
      def measures(name, unit:, range:)
        own_measures[name] = Making::OwnMeasure.new(name: name, unit: unit, range: range)
      end

      # @return [Boolean] whether how many lie in a length depends on how tight it is worked
      def tension?
        own_measures.each_value.any? { |measure| measure.unit == :number }
      end

      # @return [Hash{Symbol=>OwnMeasure}]
      def own_measures
        @own_measures ||= {}
      end

      # @param step [String] its key @return [Symbol] wording key
      def step_text(step)
        @step_texts ||= {}
        @step_texts[step] ||= :"#{key}_#{step}"
      end

      # What another way of a choice needs beside it.
      # @param parameter [Symbol] @param way [Symbol] @param data [Hash{String=>Object}] parameters as they are
      # @return [Hash{String=>Object}, nil] parameters to be set with it; nil where the table has nothing for it
      def goes_with(_parameter, _way, _data, _table)
        {}
      end

      # @return [Array<Catalogue::Technique>] that its steps use and a studio which lacks them gets: those in the file beside it, and
      #   those of the modules that it includes
      def techniques
        @techniques ||= Catalogue::Teaching.parse(Kinds.taught(key))
      end

      # @param data [Hash{String=>Object}] parameters as saved
      # @param table [Catalogue::Table]
      # @param shown [Making::Measured, nil] what samples of it showed
      # @raise [InvalidParameters] with every problem found
      def build(data, table, shown: nil)
        unknown = data.keys - parameters.keys.map(&:to_s)
        problems = unknown.map { |name| Making::DesignProblem.new(at: [name], code: :unknown_parameter) }
        values = parameters.to_h do |name, declared|
          value, found = declared.read(data[name.to_s], table)
          problems.concat(found)
          [name, value]
        end
        made = new(values, table.swatches, shown: shown) if problems.empty?
        problems.concat(made.problems) if made
        raise Making::InvalidParameters.new(key, problems) if problems.any?

        made
      end
    end
  end
end
