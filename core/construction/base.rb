# frozen_string_literal: true

module Core
  module Construction
    # What every construction is: a declared header, and how its parameters and a target length become a work-up.
    #
    # A construction answers #fill (nil when its length is fixed) and #work_up(solution, maker).
    class Base
      class << self
        def key(name = nil)
          name ? @key = name : @key
        end

        def parameter(name, type, **options)
          declared = Parameter.new(name: name, type: type, **options)
          parameters[name] = declared
          define_method(name) { @values.fetch(name) }
          private name
        end

        def parameters
          @parameters ||= {}
        end

        # @param data [Hash{String=>Object}] parameters as saved
        # @param table [Catalogue::Table]
        # @raise [InvalidParameters] with every problem found
        def build(data, table)
          problems = (data.keys - parameters.keys.map(&:to_s)).map { |name| Problem.new(at: [name], code: :unknown_parameter) }
          values = parameters.to_h do |name, declared|
            value, found = declared.read(data[name.to_s], table)
            problems.concat(found)
            [name, value]
          end
          problems.concat(new(values).problems) if problems.empty?
          raise InvalidParameters.new(key, problems) if problems.any?

          new(values)
        end
      end

      def initialize(values)
        @values = values
      end

      # @return [Array<Problem>] what does not go together although each parameter reads well
      def problems
        []
      end

      # @return [Sizing::Fill, nil] how its length grows with whole repeats; nil when it is fixed
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

      # @param target [Measure::Length, nil] the length to meet on the path; nil for a fixed component
      # @param maker [Maker]
      # @return [WorkUp, Sizing::OutOfReach]
      def call(target:, maker:)
        return work_up(nil, maker) if fill.nil?

        solution = Sizing::Repeats.solve(fill, target)
        solution.is_a?(Sizing::OutOfReach) ? solution : work_up(solution, maker)
      end
    end
  end
end
