# frozen_string_literal: true

module Core
  module Session
    # What came of many runs, added up as they are done; parts that were run apart can be joined.
    class Results
      attr_reader :ends, :finishes, :last, :last_spent

      # @param keys [Array<String>] of the people
      def initialize(keys)
        @keys = keys
        @ends = []
        @finishes = Array.new(keys.size) { [] }
        @last = Array.new(keys.size, 0)
        @last_spent = Array.new(Engine::KINDS.size, 0.0)
      end

      # @param engine [Engine] after a run @param finished [Array<Float>] minute at which each had also cleared up
      def add(engine, finished)
        latest = 0
        finished.each_with_index do |minute, person|
          @finishes[person] << minute
          latest = person if minute > finished[latest]
        end
        @ends << finished[latest]
        @last[latest] += 1
        engine.spent_by(latest).each_with_index { |minutes, kind| @last_spent[kind] += minutes }
      end

      # @param other [Results] of the runs that come after these
      def join(other)
        @ends.concat(other.ends)
        @finishes.each_with_index { |list, person| list.concat(other.finishes[person]) }
        @last = @last.zip(other.last).map(&:sum)
        @last_spent = @last_spent.zip(other.last_spent).map(&:sum)
        self
      end

      def size
        @ends.size
      end
    end
  end
end
