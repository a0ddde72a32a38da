# frozen_string_literal: true

module Web
  module Presenters
    # The techniques by level, and who of a class stands where.
    class Ladder
      # @param coming [Array<Store::Classes::Stored>] classes it may be shown for @param chosen [String] id of one
      # @param to [String] key of a technique the way to which is shown
      def initialize(coming, library, chosen, to = '')
        @to = to
        @classes = coming
        @table = library.table
        @chosen = chosen
      end

      def drawing
        Formats::LadderSvg.new(Core::Steps::Ladder.new(@table.techniques), people, @to).to_s
      end

      def techniques
        @table.techniques.values.sort_by { |technique| [technique.level, technique.name] }
      end

      # @return [Boolean] whether the way to this one is shown
      def to?(technique)
        technique.key == @to
      end

      def name_of(key)
        @table.techniques[key]&.name || key
      end

      attr_reader :classes

      # @return [Store::Classes::Stored, nil]
      def chosen
        classes.find { |klass| klass.id.to_s == @chosen }
      end

      private

      def people
        chosen ? chosen.state.attendees.group_by(&:level).transform_values { |same| same.map(&:name) } : {}
      end
    end
  end
end
