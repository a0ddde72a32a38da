# frozen_string_literal: true

module Web
  module Presenters
    # Looks for levers in processes of its own, on two cores.
    class LeverWork
      def initialize(inputs, wish, seat)
        @inputs = inputs
        @wish = wish
        @seat = seat
      end

      # @yieldparam share [Float] how far it is
      # @return [Core::Session::LeverSearch::Found, Core::Session::Impossible]
      def call
        found = nil
        search = lambda do |report|
          together = ->(list, &block) { Apart.map(list, &block) }
          report.call(Core::Session::LeverSearch.new(@inputs, wish: @wish, seat: @seat, together: together) { |share| report.call(share) }.call)
        end
        Apart.run(search) { |report| report.is_a?(Float) ? yield(report) : found = report }
        found
      end
    end
  end
end
