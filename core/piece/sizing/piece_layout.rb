# frozen_string_literal: true

module Core
  module Sizing
    # The whole piece laid flat: the path from left to right, what hangs from it below its places, and what was made apart drawn as it is
    # wherever it is used.
    class PieceLayout
      # Where a component's own drawing begins. turn: 0 runs right, 180 is turned round, 90 hangs down
      Frame = Value.define(:x, :y, :turn) do
        # @param shape [Making::Shape] in the component's own measures @return [Making::Shape]
        def place(shape)
          right, down = point(shape.x, shape.y)
          shape.with(x: right, y: down, turn: (shape.turn + turn) % 360)
        end

        # @return [(Float, Float)]
        def point(along, across)
          case turn
          when 90 then [x - across, y + along]
          when 180 then [x - along, y + across]
          else [x + along, y + across]
          end
        end
      end

      # @param blueprint [Blueprint] @param work_ups [Hash{String=>Making::WorkUp}] @param standing [Placements]
      def initialize(blueprint, work_ups, standing)
        @blueprint = blueprint
        @design = blueprint.design
        @work_ups = work_ups
        @standing = standing
        @frames = {}
      end

      # @return [Array<Making::Shape>]
      def shapes
        (@design.path + @design.hung).flat_map { |component| frames(component.key).flat_map { |frame| drawn(component.key, frame) } }
      end

      # @param key [String] of a component on the path @return [Float] where it begins, in millimetres
      def start(key)
        starts.fetch(key)
      end

      # @return [Boolean] whether it reads outward from the work, and so is turned round
      def leading?(key)
        @leading ||= @design.leading.map(&:key)
        @leading.include?(key)
      end

      # @param key [String] of any component @return [Float] where on the path it first stands
      def along(key)
        component = @design.component(key)
        return starts[key] if starts.key?(key)
        return @standing.users(key).map { |user, _| along(user) }.min || 0.0 if component.apart

        frames(key).first&.x || 0.0
      end

      private

      def starts
        @starts ||= begin
          edge = @blueprint.beyond_start.to_mm
          @design.path.to_h { |component| [component.key, edge].tap { edge += @work_ups[component.key].lengths.beaded.to_mm } }
        end
      end

      def drawn(key, frame)
        @work_ups[key].layout.flat_map do |shape|
          placed = shape.item.is_a?(Catalogue::Part) && shape.item.made? ? made(shape, frame) : [frame.place(shape)]
          placed.map { |one| one.with(owner: key) }
        end
      end

      # Its own drawing in place of the part: the part's middle is the middle of the drawing.
      def made(shape, frame)
        at = frame.place(shape)
        half = shape.along / 2
        x, y = Frame.new(x: at.x, y: at.y, turn: at.turn).point(-half, 0.0)
        drawn(shape.item.made, Frame.new(x: x, y: y, turn: at.turn))
          .map { |inner| inner.with(role: inner.role == :line ? :line : shape.role, since: shape.brought_with) }
      end

      # @return [Array<Frame>] one for each time it stands there
      def frames(key)
        @frames[key] ||= begin
          component = @design.component(key)
          component.hung_at ? hung(component) : [on_path(key)]
        end
      end

      def on_path(key)
        return Frame.new(x: start(key) + @work_ups[key].lengths.beaded.to_mm, y: 0.0, turn: 180) if leading?(key)

        Frame.new(x: start(key), y: 0.0, turn: 0)
      end

      def hung(component)
        parent, anchors = @standing.hanging(component)
        return [] unless parent

        return in_line(parent, anchors.first) if @standing.in_line?(component)

        aside = aside(component)
        frames(parent).flat_map do |frame|
          anchors.map do |anchor|
            x, y = frame.turn == 90 ? frame.point(anchor.x + anchor.reach, 0.0) : frame.point(anchor.x, anchor.y)
            Frame.new(x: x + aside, y: y, turn: 90)
          end
        end
      end

      def in_line(parent, anchor)
        frames(parent).map { |frame| frame.with(x: frame.x + anchor.x + anchor.reach) }
      end

      # Several at one place lie side by side.
      def aside(component)
        beside = @design.hung.select { |other| other.hung_at == component.hung_at }
        return 0.0 if beside.size == 1

        widths = beside.map { |other| @blueprint.member(other.key).width(@work_ups[other.key]) }
        at = beside.index(component)
        widths.first(at).sum + (widths[at] / 2) - (widths.sum / 2)
      end
    end
  end
end
