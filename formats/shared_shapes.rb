# frozen_string_literal: true

module Formats
  # Shapes drawn once and referred to by every drawing on a page, which makes many drawings small.
  class SharedShapes
    # @param prefix [String] for the names of this page's shapes
    def initialize(prefix)
      @prefix = prefix
      @names = {}
      @drawn = []
    end

    # @param shape [Core::Making::Shape] @param light where light falls on it, nil without
    # @param turned [Boolean] whether it is drawn turned
    # @yieldparam at_origin [Core::Making::Shape] @yieldreturn [String] its outline
    # @return [String] a reference to the outline, moved to where the shape lies
    def refer(shape, light = nil, turned: false)
      key = [shape.item.key, shape.form, shape.along, shape.across, shape.path, light]
      name = @names[key] ||= begin
        @drawn << %(<g id="#{@prefix}#{@drawn.size}">#{yield shape.with(x: 0.0, y: 0.0, turn: 0)}</g>)
        "#{@prefix}#{@drawn.size - 1}"
      end
      x, y = [shape.x, shape.y].map(&PieceSvg::N)
      return %(<use href="##{name}" transform="translate(#{x} #{y})rotate(#{PieceSvg::N.(shape.turn)})"/>) if turned

      %(<use href="##{name}" x="#{x}"#{%( y="#{y}") unless shape.y.zero?}/>)
    end

    # @return [String] the outlines, for a drawing that holds its own
    def drawn
      "<defs>#{@drawn.join}</defs>"
    end

    # @return [String] an unseen drawing that holds the outlines; it must stand on the page once
    def definitions
      %(<svg width="0" height="0" aria-hidden="true" class="definitions">#{drawn}</svg>)
    end
  end
end
