# frozen_string_literal: true

module Application
  module Tasks
    # Looks for what would help a class.
    #
    # @param target chance to be reached, 0..1
    # @param seat minor units a seat pays
    SearchLevers = Core::Value.define(:inputs, :target, :seat) do
      # @return [Core::Levers::LeverSearch::Found, Core::Session::Impossible]
      def call(report)
        Core::Levers::LeverSearch.new(inputs, target: target, seat: seat) { |share| report.call(Work::Progress.new(share: share)) }.call
      end
    end
  end
end
