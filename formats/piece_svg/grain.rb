# frozen_string_literal: true

module Formats
  class PieceSvg
    # What can be seen in a material: veins of stone, grain of wood, rings of shell, facets, the hole through clear glass. In shares of
    # half the thing's length and width about its middle, so that it lies inside every rounded outline.
    module Grain
      # [path, light or dark, how much of it shows, width in hundredths of the thing]
      MARKS = {
        stone: [['M-.8-.2C-.4-.5-.1.1.2-.2S.6-.5.75-.4', :w, 0.3, 7],
                ['M-.5.6C-.2.2.2.6.6.1', :w, 0.2, 5],
                ['M-.3-.7C-.1-.4-.4-.1-.6.1', :k, 0.25, 5]],
        wood: [['M-.85-.3C-.3-.55.3-.1.85-.35', :k, 0.3, 6],
               ['M-.9.05C-.3-.15.3.25.9.05', :k, 0.25, 6],
               ['M-.8.4C-.3.25.3.6.75.4', :k, 0.3, 6]],
        horn: [['M-.8-.35C-.2-.1.2-.6.8-.3', :w, 0.22, 10], ['M-.85.2C-.3.5.3 0 .85.25', :k, 0.3, 10]],
        shell: [['M-.75.2C-.4-.4.4-.4.75.2', :w, 0.4, 7],
                ['M-.6.5C-.3 0 .3 0 .6.5', :w, 0.35, 6],
                ['M-.35.72C-.15.4.15.4.35.72', :k, 0.1, 5]],
        resin: [['M.1.55C.4.5.6.3.65.05', :w, 0.4, 12]],
        clear: [['M-.98 0H.98', :k, 0.22, 9], ['M0 .62C.35.6.6.35.66 0', :w, 0.5, 16]],
        faceted: [['M-.5-.42L.5-.42L.5.42L-.5.42Z', :w, 0.35, 4], ['M-.5-.42L-.86-.1M.5-.42L.86-.1M.5.42L.86.1M-.5.42L-.86.1', :w, 0.35, 4],
                  ['M-.5-.42L0 0L.5.42M.5-.42L0 0L-.5.42', :k, 0.18, 4]]
      }.freeze

      module_function

      # @param shape [Core::Making::Shape] @param surface [Symbol] @return [String]
      def of(shape, surface)
        return '' if [shape.along, shape.across].min < Light::GRAIN_MM || HOLLOW.include?(shape.form) || %i[line path].include?(shape.form)

        marks = MARKS.fetch(surface, []).map { |path, ink, shown, width|
          %(<path d="#{path}" stroke="#{ink == :w ? '#fff' : '#000'}" stroke-opacity="#{shown}" stroke-width="#{width / 100.0}"/>)
        }
        return '' if marks.empty?

        %(<g transform="translate(#{N.(shape.x)} #{N.(shape.y)}) scale(#{N.(shape.along / 2)} #{N.(shape.across / 2)})" fill="none" ) +
          %(stroke-linecap="round">#{marks.join}</g>)
      end
    end
  end
end
