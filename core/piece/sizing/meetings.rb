# frozen_string_literal: true

module Core
  module Sizing
    # Where the components of a piece meet: on the path one after another, and where something hangs.
    class Meetings
      # What hangs by a loop that a crimp or shell closes.
      CRIMPED = %i[cable thread].freeze

      # @param path [Array<(String, Making::WorkUp)>] in order @param hung [Array<Project::Component>]
      # @param work_ups [Hash{String=>Making::WorkUp}] @param standing [Placements] @param drawn [PieceLayout]
      def initialize(path, hung, work_ups, standing, drawn)
        @path = path
        @hung = hung
        @work_ups = work_ups
        @standing = standing
        @drawn = drawn
      end

      # @return [Array<Making::Join>] of the parts and lines that meet
      def joins
        @joins ||= meetings + hung_meetings
      end

      # How the loops of lines sit on what they hang in, where that can be said.
      def loops
        hanging = joins.select { |join| join.in_place && join.inner.is_a?(Catalogue::Line) && CRIMPED.include?(join.inner.kind) }
        hanging.select { |join| join.loop || join.outer.wire_thickness }.map { |join| join.with(kind: :loops_round) }
      end

      # @return [Array<Array(Array(String, Making::Attachment))>] pairs of component and its end that meet, on the path and hung
      def pairs
        on_path = @path.each_cons(2).map { |(a_key, a), (b_key, b)| [[a_key, facing(a_key, a)], [b_key, b.ends[:first]]] }
        hung = @hung.flat_map do |component|
          parent, anchors = @standing.hanging(component)
          own = @work_ups.fetch(component.key).ends[:first]
          # What closes round it waits for it: see Precedence.
          places = own&.opening_step ? anchors : anchors.reject(&:closing_step)
          places.uniq(&:item).map { |anchor|
            [[parent, Making::Attachment.new(item: anchor.item, opening_step: anchor.opening_step)], [component.key, own]]
          }
        end
        (on_path + hung).reject { |pair| pair.any? { |_, one| one.nil? } }
      end

      # What cannot open hangs in an eye that closes when it is on.
      # @return [Array<Array(Array(String, Making::Attachment))>]
      def closed_round
        @hung.flat_map do |component|
          own = @work_ups.fetch(component.key).ends[:first]
          next [] if own.nil? || own.opening_step || own.closing_step

          parent, anchors = @standing.hanging(component)
          closing = anchors.select { |anchor| anchor.closing_step && anchor.item.is_a?(Catalogue::Part) }.uniq(&:closing_step)
          closing.map { |anchor|
            [[parent, Making::Attachment.new(item: anchor.item, closing_step: anchor.closing_step)], [component.key, own]] }
        end
      end

      private

      # Where two components on the path meet.
      def meetings
        @path.each_cons(2).filter_map do |(a_key, a), (b_key, b)|
          ends = [facing(a_key, a), b.ends[:first]]
          meeting(*ends, at: @drawn.start(b_key), component: b_key) unless ends.any?(&:nil?)
        end
      end

      # Where something hung meets what it hangs in: what is open until a later step takes it at any time before.
      def hung_meetings
        @hung.flat_map do |component|
          _, anchors = @standing.hanging(component)
          own = @work_ups.fetch(component.key).ends[:first] or next []
          anchors.uniq(&:item).filter_map do |anchor|
            place = Making::Attachment.new(item: anchor.item, closing_step: anchor.closing_step)
            meeting(place, own, at: @drawn.along(component.key), component: component.key)
          end
        end
      end

      # What is thinner hangs in the other: a line in a part, and of two parts the one that is no ring.
      # @param first [Making::Attachment] @param second [Making::Attachment] @return [Making::Join, nil] nil between two lines
      def meeting(first, second, at:, component:)
        lines, parts = [first, second].partition { |one| one.item.is_a?(Catalogue::Line) }
        return if parts.empty?

        inner, outer = lines.any? ? [lines.first, parts.first] : parts.sort_by { |one| one.item.kind == :ring ? 1 : 0 }
        Making::Join.new(kind: :hangs_in, inner: inner.item, outer: outer.item, at: at, passes: inner.passes, component: component,
          in_place: [first, second].any?(&:closing_step), loop: lines.first&.loop)
      end

      # The end of a component on the path that faces its next.
      def facing(key, work_up)
        @drawn.leading?(key) ? work_up.ends[:first] : work_up.ends[:last]
      end
    end
  end
end
