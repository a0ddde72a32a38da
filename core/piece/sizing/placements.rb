# frozen_string_literal: true

module Core
  module Sizing
    # Where each component of a design stands in one piece, and how often: on the path once, hung at its places, made apart as often as
    # it is used.
    class Placements
      # Two components meet here, as near as rounding tells.
      TOUCHING_MM = 0.001

      # @param design [Project::Design]
      # @param work_ups [Hash{String=>Making::WorkUp}] of one of each component
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

      # @return [(String, Array<Making::Anchor>)] the key of what a hung component hangs from, and all its places there
      # @raise [Making::InvalidParameters] where it has none
      def hanging(component)
        @hangings[component.key] ||= begin
          place = Project::Hanging.parse(component.hung_at)
          found = place.component ? [place.component, place.choose(@work_ups.fetch(place.component).places)] : at_centre
          found.last.empty? && place.which != :every ? nowhere(component) : found
        end
      end

      # @param key [String] of a component @return [Array<String>] keys of all that hangs below it
      def below(key)
        hung = @design.hung.select { |component| hanging(component).first == key }.map(&:key)
        hung + hung.flat_map { |child| below(child) }
      end

      # @param key [String] of a component
      # @return [Integer] rings, and links that turn as they do, between it and the line or the path that carries it
      def turns_above(key)
        component = @design.component(key)
        return 0 unless component.hung_at

        parent, anchors = hanging(component)
        return 0 if anchors.empty?

        # What hangs is a chain down to the place; a path carries by the place alone.
        places = @work_ups.fetch(parent).places
        above = @design.component(parent).hung_at ? places.take(places.index(anchors.first) + 1) : anchors.first(1)
        above.count { |one| one.item.is_a?(Catalogue::Part) && one.item.turns? } + turns_above(parent)
      end

      # @return [Hash{String=>Making::WorkUp}] of the whole piece
      def work_ups
        @work_ups.to_h { |key, work_up| [key, work_up.times(count(key))] }
      end

      # @return [Boolean] whether the piece hangs from an ear: all of it lies in one line, downward
      def from_ear?
        @from_ear ||= @work_ups.fetch(@design.path.first.key).parts.any? { |use| Catalogue::Part::EAR.include?(use.part.kind) }
      end

      # @param component [Project::Component] hung @return [Boolean] whether it goes on in line below the end of a piece that hangs
      def in_line?(component)
        return false unless from_ear? && @design.hung.one? { |other| other.hung_at == component.hung_at }

        parent, anchors = hanging(component)
        last = anchors.size == 1 && anchors.first == @work_ups.fetch(parent).places.last
        last && (parent == @design.path.last.key || (@design.component(parent).hung_at && in_line?(@design.component(parent))))
      end

      # @param key [String] of a component made apart @return [Array<(String, Making::WorkUp)>] those that use it
      def users(key)
        @work_ups.select { |_, work_up| work_up.parts.any? { |use| use.part.made == key } }.to_a
      end

      private

      # The middle of the whole piece lies in one component, or where two meet: there, the place that is nearest.
      def at_centre
        near = middle_of_path.flat_map { |key, along| @work_ups[key].places.map { |anchor| [(anchor.x - along).abs, key, anchor] } }
        _, key, anchor = near.min_by(&:first)
        [key, [anchor].compact]
      end

      # @return [Array<(String, Float)>] components that hold the middle, and where in each it lies, in millimetres
      def middle_of_path
        lengths = @design.path.map { |component| @work_ups[component.key].lengths.beaded.to_mm }
        half, start = lengths.sum / 2, 0.0
        leading = @design.leading.map(&:key)
        @design.path.each_with_index.filter_map do |component, i|
          along = half - start
          start += lengths[i]
          next unless along.between?(-TOUCHING_MM, lengths[i] + TOUCHING_MM)

          [component.key, leading.include?(component.key) ? lengths[i] - along : along]
        end
      end

      def nowhere(component)
        at = ['components', @design.components.index(component), 'hung_at']
        problem = Making::DesignProblem.new(at: at, code: :no_such_place, values: { place: component.hung_at.to_s })
        raise Making::InvalidParameters.new(component.construction, [problem])
      end

      def counted(component)
        return used(component.key) if component.apart
        return 1 unless component.hung_at

        parent, anchors = hanging(component)
        parent ? anchors.size * count(parent) : 0
      end

      def used(made)
        pieces = users(made).sum { |key, work_up| count(key) * work_up.parts.select { |use| use.part.made == made }.sum(&:count) }
        (pieces / @work_ups.fetch(made).yields.to_f).ceil
      end
    end
  end
end
