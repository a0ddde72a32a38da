# frozen_string_literal: true

module Formats
  class PieceSvg
    # Light from above on the left, laid over an outline: what shines, what is dull, grain, veins and facets. One set of gradients serves
    # every colour, since it only lightens and darkens what lies below.
    module Light
      # White and black by how far they lie from the brightest place, with how much they cover.
      GLOSS = [[0, :w, 0.9], [0.14, :w, 0.55], [0.32, :w, 0.1], [0.6, :k, 0.02], [0.86, :k, 0.24], [1, :k, 0.42]].freeze
      PEARL = [[0, :w, 0.85], [0.3, :w, 0.5], [0.6, :w, 0.12], [0.8, :k, 0.06], [1, :k, 0.3]].freeze
      SOFT = [[0, :w, 0.34], [0.4, :w, 0.08], [0.75, :k, 0.08], [1, :k, 0.28]].freeze
      METAL = [[0, :w, 0.95], [0.2, :w, 0.4], [0.42, :k, 0.06], [0.62, :k, 0.34], [0.8, :w, 0.3], [1, :k, 0.4]].freeze
      STOPS = { gloss: GLOSS, pearl: PEARL, soft: SOFT, metal: METAL }.freeze
      FINISH = { clear: :gloss, glass: :gloss, resin: :gloss, faceted: :gloss, shell: :pearl, pearl: :pearl, bright: :metal }.freeze
      # Where the brightest place lies across, for a thing turned this way, from its top.
      ACROSS = { over: 0.3, middle: 0.5, under: 0.7 }.freeze
      # Where the light comes from: right and down of the middle.
      FROM = [-0.5, -0.87].freeze
      ROUND = %i[round oval petal cover drop bicone].freeze
      # Smaller things show no grain.
      GRAIN_MM = 4.0
      # Thinner lines show no light.
      LINE_MM = 0.35
      PREFIX = 'light'
      # From the brightest line of a rod to its dark edge, in shares of its width.
      ROD = 0.62

      # Shines along a stroke, or fills an area with one of the gradients.
      Shine = Core::Value.define(:gradient, :twisted, :dull) do
        def area
          %(fill="url(##{gradient})")
        end

        def stroke(width)
          return '' if width < LINE_MM
          return lay(width) if twisted

          %(fill="none" stroke="#fff" stroke-opacity="#{dull ? 0.15 : 0.55}" stroke-width="#{N.(width * 0.3)}")
        end

        # A cord's lay: dark across it, at even steps.
        def lay(width)
          %(fill="none" stroke="#000" stroke-opacity="0.28" stroke-width="#{N.(width)}" ) +
            %(stroke-dasharray="#{N.(width * 0.22)} #{N.(width * 0.55)}")
        end
      end

      class << self
        # @return [String] an unseen drawing that holds the gradients; once for each page or file
        def definitions
          @definitions ||= '<svg width="0" height="0" aria-hidden="true" class="definitions"><defs>' +
                           STOPS.keys.map { |finish| stops(finish) + ACROSS.map { |side, at|
 placed(finish, side, at) }.join }.join + '</defs></svg>'
        end

        # @param shape [Core::Making::Shape] @param side [Symbol] see #side @return [String] what lies over its outline
        def over(shape, side = side(shape))
          surface = Core::Catalogue::Surface.of(shape.item)
          finish = FINISH.fetch(surface, :soft)
          kind = ROUND.include?(shape.form) ? '' : '-band'
          shine = Shine.new(gradient: "#{PREFIX}-#{finish}-#{side}#{kind}", twisted: surface == :twisted, dull: finish == :soft)
          Grain.of(shape, surface) + Outlines.of(shape, shine)
        end

        # Which side of it is lit: its own up, turned as it is, against where the light comes from (the cosine between them).
        # @return [Symbol] one of ACROSS
        def side(shape)
          return :over if Outlines.round?(shape)

          up = [Math.sin(shape.turn * Math::PI / 180), -Math.cos(shape.turn * Math::PI / 180)]
          towards = (up[0] * FROM[0]) + (up[1] * FROM[1])
          towards > 0.35 ? :over : (towards < -0.35 ? :under : :middle)
        end

        private

        # Round things are lit about a place, the others along a line, from there both ways as on a rod.
        def placed(finish, side, at)
          name = "#{PREFIX}-#{finish}"
          %(<radialGradient id="#{name}-#{side}" href="##{name}" r="0.62" fx="0.36" fy="#{at}"/>) +
            %(<linearGradient id="#{name}-#{side}-band" href="##{name}" x2="0" y1="#{at}" y2="#{N.(at + ROD)}" spreadMethod="reflect"/>)
        end

        def stops(finish)
          drawn = STOPS.fetch(finish).map { |far, ink, cover|
            %(<stop offset="#{N.(far)}" stop-color="#{ink == :w ? '#fff' : '#000'}" stop-opacity="#{N.(cover)}"/>)
          }
          %(<linearGradient id="#{PREFIX}-#{finish}">#{drawn.join}</linearGradient>)
        end
      end
    end
  end
end
