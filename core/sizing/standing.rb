# frozen_string_literal: true

module Core
  module Sizing
    # Where each component of a design stands in one piece, and how often: on the path once, hung at its places, made apart as often as
    # it is used.
    class Standing
      # @param design [Project::Design] whose places are known to exist @param work_ups [Hash{String=>Construction::WorkUp}] of one each
      def initialize(design, work_ups)
        @design = design
        @work_ups = work_ups
        @counts = {}
        @hangings = {}
      end

      # @param key [String] of a component @return [Integer] how often it is in one piece
      def count(key)
        @counts[key] ||= counted(@design.component(key))
      end

      # @return [Array<Construction::Anchor>] all places one parent has for a hung component, and that parent's key
      # @return [(String, Array<Construction::Anchor>)]
      def hanging(component)
        @hangings[component.key] ||= begin
          place = Project::Hanging.parse(component.hung_at)
          parent = place.component || @design.path.map(&:key).find { |key| @work_ups[key].places.any? }
          [parent, parent ? place.choose(@work_ups.fetch(parent).places) : []]
        end
      end

      # @return [Hash{String=>Construction::WorkUp}] of the whole piece
      def work_ups
        @work_ups.to_h { |key, work_up| [key, work_up.times(count(key))] }
      end

      # @param key [String] of a component made apart @return [Array<(String, Construction::WorkUp)>] those that use it
      def users(key)
        @work_ups.select { |_, work_up| work_up.parts.any? { |use| use.part.made == key } }.to_a
      end

      private

      def counted(component)
        return used(component.key) if component.apart
        return 1 unless component.hung_at

        parent, anchors = hanging(component)
        parent ? anchors.size * count(parent) : 0
      end

      def used(made)
        users(made).sum { |key, work_up| count(key) * work_up.parts.select { |use| use.part.made == made }.sum(&:count) }
      end
    end
  end
end
