# frozen_string_literal: true

module Core
  module Making
    # One thing in a drawing to scale: centre at (x, y) in millimetres from the component's first end,
    # along × across in size, turned clockwise by turn degrees (90 hangs). item: the part or line drawn.
    #
    # @param owner key of the component that it belongs to, once it stands in a piece
    # @param since the fact from which on it is there, where that is not its role; see Facts
    Shape = Value.define(:item, :role, :x, :y, :along, :across, form: :round, turn: 0, path: nil, owner: nil, since: nil) do
      # @return [Symbol] the fact from which on it is there
      def brought_with
        since || role
      end

      # @return [Float] how far it reaches from the middle line, up or down
      def reach
        return corners.map { |down| (y + down).abs }.max + (across / 2) if form == :path && corners.any?

        y.abs + ((turn % 180 == 90 ? along : (turn % 180).zero? ? across : [along, across].max) / 2)
      end

      def moved(right, down = 0.0)
        with(x: x + right, y: y + down)
      end

      private

      # How far down each corner of a path lies from its own middle.
      def corners
        path.scan(/[ML]-?[\d.]+ (-?[\d.]+)/).map { |(down)| down.to_f }
      end
    end
  end
end
