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

    # @param shape [Core::Making::Shape] @yieldparam at_origin [Core::Making::Shape] @yieldreturn [String] its outline
    # @return [String] a reference to the outline, moved to where the shape lies
    def refer(shape)
      key = [shape.item.key, shape.form, shape.along, shape.across, shape.turn, shape.path]
      name = @names[key] ||= begin
        @drawn << %(<g id="#{@prefix}#{@drawn.size}">#{yield shape.with(x: 0.0, y: 0.0)}</g>)
        "#{@prefix}#{@drawn.size - 1}"
      end
      %(<use href="##{name}" x="#{PieceSvg::N.(shape.x)}"#{%( y="#{PieceSvg::N.(shape.y)}") unless shape.y.zero?}/>)
    end

    # @return [String] an unseen drawing that holds the outlines; it must stand on the page once
    def definitions
      %(<svg width="0" height="0" aria-hidden="true" class="definitions"><defs>#{@drawn.join}</defs></svg>)
    end
  end
end
