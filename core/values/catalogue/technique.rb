# frozen_string_literal: true

module Core
  module Catalogue
    # A technique. level 1..5
    #
    # @param seconds usual time of an experienced maker for one repeat
    # @param prerequisites technique keys
    # @param tools tool keys one maker uses at once, a key twice where both hands need one
    # @param demonstration_minutes shown once to all
    # @param cautions keys of Cautions
    # @param easier key of a technique that an easier school uses in its place
    # @param practice what to practise on, and from which scrap
    # @param practice_takes what it takes beside scrap, see PracticeBag
    # @param stand_ins tools that can be used instead, each a StandIn on one line
    # @param points what to say when teaching it
    # @param goes_wrong what usually does, each a Fault on one line
    # @param left_hand what a left-hander does otherwise
    Technique = Value.define(:key, :name, :level, :seconds, prerequisites: [].freeze, tools: [].freeze, demonstration_minutes: 0,
      cautions: [].freeze,
      easier: nil, practice: '', practice_minutes: 0, practice_takes: [].freeze, points: [].freeze, goes_wrong: [].freeze, left_hand: '',
      stand_ins: [].freeze)

    class Technique
      LEVELS = (1..5).freeze

      # @return [Array<Fault>] what goes wrong, read line by line
      def faults
        goes_wrong.map { |line| Fault.read(line) }
      end

      # @return [Array<StandIn>] tools that can be used instead of its own
      def substitutes
        stand_ins.filter_map { |line| StandIn.read(line) }.select { |one| tools.include?(one.tool) }
      end

      # @param by [String] key of the tool that stands in @return [Technique] worked with it; itself where it cannot
      def with_stand_in(by)
        one = substitutes.find { |known| known.by == by } or return self
        with(tools: tools.map { |tool| tool == one.tool ? one.by : tool }, seconds: seconds * one.pace,
          points: one.words.empty? ? points : [one.words, *points])
      end

      # @param techniques [Hash{String=>Technique}] @return [Array<Technique>] that this one may stand in for, as their easier way
      def harder(techniques)
        techniques.values.select { |other| other.easier == key }
      end
    end
  end
end
