# frozen_string_literal: true

module Core
  module Fit
    module Cures
      # A choice of a construction made another way, with what that way asks for beside it.
      class SetWay < Cure
        code :set_way

        attr_reader :component, :parameter, :way

        # @param component [String] its key @param parameter [Symbol] @param way [Symbol] one of its choices
        # @param beside [Hash{String=>Object}] other parameters that the way needs
        def initialize(component, parameter, way, beside = {})
          @component = component
          @parameter = parameter
          @way = way
          @beside = beside.freeze
          super(change: 1, way: way)
        end

        def apply(design)
          Project::Edit.new(design).set(@component, { @parameter.to_s => @way.to_s }.merge(@beside))
        end

        private

        def identity
          [@component, @parameter, @way]
        end
      end
    end
  end
end
