# frozen_string_literal: true

require 'forwardable'

module Core
  module Sizing
    # A design built against a catalogue in one colourway, ready to be fitted to any number of people.
    class Blueprint
      extend Forwardable

      MOST_ASSEMBLIES = 500

      attr_reader :design

      def_delegators :@search, :around, :inside, :tightened_by, :fixed_length, :beyond, :beyond_start
      def_delegators :@members, :table

      # @raise [Making::InvalidParameters] @raise [UnknownKey]
      def initialize(design, table)
        @design = design
        @members = Members.new(design, table)
        @search = SizeSearch.new(design, @members)
        @assemblies = LruCache.new(MOST_ASSEMBLIES)
        @waits = LruCache.new(MOST_ASSEMBLIES)
      end

      # @return [Array<String>] keys of the techniques that a design's steps use; none where the catalogue cannot build it
      def self.techniques(design, table)
        piece = new(design, table).fit_usual
        piece.is_a?(Piece) ? piece.steps.map(&:technique).uniq : []
      rescue Error
        []
      end

      # @return [Making::ShortNames] of all that it can be made of, the same at every size
      def names
        @names ||= Making::ShortNames.new(@members.all.values.flat_map { |member| member.construction.made_of })
      end

      # @param measure [Measure::Length] of the body @param ease [Measure::Length] added to it
      # @param maker [Making::Maker]
      # @return [Piece, OutOfReach]
      def fit(measure, maker, ease: Measure::Length::ZERO)
        worn = measure + ease
        solutions, bend = @search.call(worn)
        return solutions if solutions.is_a?(Making::OutOfReach)

        maker = maker.with(measure: measure, wraps: design.wraps)
        assembly = assembly(solutions, maker, bend)
        assembly.piece(worn, around(worn, bend), Lazy.new { @search.others(solutions, assembly.repeats) })
      end

      # @return [Piece, OutOfReach] at a usual size
      def fit_usual(maker = Making::Maker.new)
        fit(design.body == :own ? own_size : @search.usual, maker, ease: design.added_ease)
      end

      # @return [Measure::Length] the size of a design that does not depend on its wearer
      def own_size
        inside(fixed_length, Bend.new)
      end

      def play
        @play ||= Measure::Length.sum(@members.path.map { |member| member.construction.play })
      end

      # @return [Array<Making::OwnMeasure::Use>] what of it can be measured, once each
      def measurable
        @measurable ||= @members.all.each_value.flat_map { |member| member.construction.measurable }.uniq
      end

      # @param key [String] of a component @return [Member]
      def member(key)
        @members.all.fetch(key)
      end

      # @param precedence [Precedence] in one piece
      # @return [Hash{String=>Array<String>}] which steps wait for which, worked out once for all pieces of its outline
      def waits(precedence)
        @waits.fetch(precedence.outline) { precedence.across }
      end

      # @return [Array<String>] of the components on the path, in order
      def path_keys
        @path_keys ||= @members.path.map(&:key)
      end

      private

      # People who make the same from the same lines share it.
      def assembly(solutions, maker, bend)
        body = maker.measure if @members.path.any? { |member| member.construction.class.cut_to_body? }
        alike = [@search.signature(solutions), bend, maker.tails, maker.by_line, body]
        @assemblies.fetch(alike) { Assembly.new(self, bend, made(solutions, maker)) }
      end

      # @return [Hash{String=>Making::WorkUp}]
      def made(solutions, maker)
        @members.all.transform_values { |member| member.work_up(solutions[member] || @members.apart[member], maker) }
      end
    end
  end
end
