# frozen_string_literal: true

module Formats
  class PieceSvg
    # The outline of each form, of one millimetre to a unit, drawn by a paint that says how areas and strokes look.
    module Outlines
      # Ink: filled with the colour of the thing, with an edge.
      Ink = Core::Value.define(:colour) do
        def area
          %(fill="#{colour}" stroke="currentColor" stroke-width="0.25")
        end

        # @param edge whether a stroke has an edge of its own
        def stroke(width, **)
          %(fill="none" stroke="#{colour}" stroke-width="#{N.(width)}")
        end
      end

      # Round what is chosen, in the page's own colour for that.
      Ring = Core::Value.define(:colour) do
        def area
          %(fill="none" stroke="#{colour}" stroke-width="1")
        end

        def stroke(width)
          %(fill="none" stroke="#{colour}" stroke-width="#{N.([width / 2, 0.5].max)}")
        end
      end
      CHOSEN = Ring.new(colour: 'var(--accent)')

      RECT = lambda { |s, paint, round|
        %(<rect x="#{N.(s.x - (s.along / 2))}" y="#{N.(s.y - (s.across / 2))}" width="#{N.(s.along)}" height="#{N.(s.across)}" ) +
          %(rx="#{N.(round)}" #{paint.area}/>)
      }
      ELLIPSE = lambda { |s, paint|
        %(<ellipse cx="#{N.(s.x)}" cy="#{N.(s.y)}" rx="#{N.(s.along / 2)}" ry="#{N.(s.across / 2)}" #{paint.area}/>)
      }
      RING = lambda { |s, paint|
        thick = s.item.respond_to?(:wire) && s.item.wire ? s.item.wire.to_mm : [s.along * 0.14, 0.7].max
        %(<ellipse cx="#{N.(s.x)}" cy="#{N.(s.y)}" rx="#{N.((s.along - thick) / 2)}" ry="#{N.((s.across - thick) / 2)}" ) +
          %(#{paint.stroke(thick)}/>)
      }
      CLASP = lambda { |s, paint|
        left = s.x - (s.along / 2)
        mouth = left + (s.along * 0.65)
        %(<rect x="#{N.(left + 0.5)}" y="#{N.(s.y - (s.across / 2) + 0.5)}" width="#{N.(s.along - 1)}" height="#{N.(s.across - 1)}" ) +
          %(rx="#{N.(s.across / 2)}" #{paint.stroke(1.2)}/>) +
          %(<path d="M#{N.(mouth)} #{N.(s.y - (s.across / 2))}v#{N.(s.across * 0.55)}" #{paint.stroke(1)}/>)
      }
      HOOK = lambda { |s, paint|
        left, round = s.x - (s.along / 2), [s.across, s.along].min * 0.4
        %(<path d="M#{N.(left + 1)} #{N.(s.y)}H#{N.(left + s.along - round)}a#{N.(round / 2)} #{N.(round / 2)} 0 0 1 0 #{N.(round)}) +
          %(h#{N.(-s.along * 0.3)}" stroke-linecap="round" #{paint.stroke(0.9)}/>)
      }
      CHAIN = lambda { |s, paint|
        links = [(s.along / 4).round, 1].max
        step = s.along / links
        (0...links).map { |i| %(<ellipse cx="#{N.(s.x - (s.along / 2) + (step * (i + 0.5)))}" cy="#{N.(s.y)}" rx="#{N.(step * 0.55)}" ) +
          %(ry="#{N.(s.across / 2)}" #{paint.stroke(0.7)}/>) }.join
      }
      # A line round what hangs in it.
      LOOP = lambda { |s, paint|
        %(<ellipse cx="#{N.(s.x)}" cy="#{N.(s.y)}" rx="#{N.(s.along / 2)}" ry="#{N.(s.across / 2)}" #{paint.stroke(0.5)}/>)
      }
      BICONE = lambda { |s, paint|
        half, high = s.along / 2, s.across / 2
        %(<path d="M#{N.(s.x - half)} #{N.(s.y)}L#{N.(s.x)} #{N.(s.y - high)}L#{N.(s.x + half)} #{N.(s.y)}L#{N.(s.x)} ) +
          %(#{N.(s.y + high)}Z" #{paint.area}/>)
      }
      DROP = lambda { |s, paint|
        left, wide = s.x - (s.along / 2), s.across / 2
        # The round end begins where its ellipse is nine tenths as wide as it gets, and reaches to the end of the drop.
        belly = left + (s.along * (1 - (0.36 * (1 + Math.sqrt(1 - (0.9**2))))))
        neck = left + (s.along * 0.38)
        %(<path d="M#{N.(left)} #{N.(s.y)}Q#{N.(neck)} #{N.(s.y - (wide * 0.3))} #{N.(belly)} #{N.(s.y - (wide * 0.9))}) +
          %(A#{N.(s.along * 0.36)} #{N.(wide)} 0 1 1 #{N.(belly)} #{N.(s.y + (wide * 0.9))}) +
          %(Q#{N.(neck)} #{N.(s.y + (wide * 0.3))} #{N.(left)} #{N.(s.y)}Z" #{paint.area}/>)
      }
      # An open bow over a bar, from the top of the bow to the bar.
      ARC = lambda { |s, paint|
        thick = [s.item.wire&.to_mm || (s.across * 0.08), 0.8].max
        left, high = s.x - (s.along / 2) + (thick / 2), (s.across - thick) / 2
        bar = s.x + (s.along / 2) - (thick / 2)
        %(<path d="M#{N.(bar)} #{N.(s.y - high)}A#{N.(bar - left)} #{N.(high)} 0 0 0 #{N.(bar)} #{N.(s.y + high)}Z" ) +
          %(stroke-linejoin="round" #{paint.stroke(thick)}/>)
      }
      LINE = lambda { |s, paint|
        %(<path d="M#{N.(s.x - (s.along / 2))} #{N.(s.y)}h#{N.(s.along)}" #{paint.stroke([s.across, 0.4].max)}/>)
      }
      PATH = lambda { |s, paint|
        %(<path d="#{s.path}" transform="translate(#{N.(s.x)} #{N.(s.y)})" stroke-linecap="round" ) +
          %(#{paint.stroke([s.across, 0.4].max)}/>)
      }
      # How round the corners are of what is drawn as a rectangle, in millimetres.
      CORNERS = { tube: 0.5, disc: 0.9, flat: 1.5, bar: 0.8, connector: 1.2, slider: 1.0, crimp: 0.3, cap: 2.0, pin: 0.2 }.freeze
      FORMS = {
        round: ELLIPSE, oval: ELLIPSE, petal: ELLIPSE, cover: ELLIPSE, bicone: BICONE, drop: DROP, arc: ARC,
        rounded: ->(s, paint) { RECT.(s, paint, [s.along, s.across].min * 0.4) },
        knot: ->(s, paint) { RECT.(s, paint, s.across / 2) },
        ring: RING, loop: LOOP, clasp: CLASP, hook: HOOK, chain: CHAIN, line: LINE, path: PATH
      }.merge(CORNERS.transform_values { |round| ->(s, paint) { RECT.(s, paint, round) } }).freeze

      module_function

      # @return [Boolean] whether it looks the same however it is turned
      def round?(shape)
        shape.form == :round && (shape.along - shape.across).abs < 0.1
      end

      # @param shape [Core::Making::Shape] @param paint [#area, #stroke] nil is ink in its own colour @return [String]
      def of(shape, paint = nil)
        FORMS.fetch(shape.form) { ELLIPSE }.call(shape, paint || Ink.new(colour: COLOUR.(shape.item)))
      end
    end
  end
end
