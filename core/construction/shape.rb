# frozen_string_literal: true

module Core
  module Construction
    # One thing in a drawing to scale: centre at (x, y) in millimetres from the component's first end,
    # along × across in size, turned by turn degrees. item: the part or line drawn.
    Shape = Value.define(:item, :role, :x, :y, :along, :across, form: :round, turn: 0, path: nil) do
      def moved(right, down = 0.0)
        with(x: x + right, y: y + down)
      end
    end
  end
end
