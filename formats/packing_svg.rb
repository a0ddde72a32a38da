# frozen_string_literal: true

require 'cgi'

module Formats
  # Lines in a hole, in cross-section: where they lie when packed, and the hole there is. A line that stands out is drawn open.
  class PackingSvg
    # @param lines [Array<Core::Measure::Length>] thickest first, as packed @param packed [Core::Fit::CirclePacking::Packed]
    def initialize(lines, packed, hole, title:)
      @lines = lines
      @packed = packed
      @hole = hole
      @title = title
    end

    # @return [String] one unit is a millimetre
    def to_s
      reach = [@hole.to_mm / 2, @packed.radius].max * 1.25
      %(<svg class="packing" viewBox="#{-reach} #{-reach} #{reach * 2} #{reach * 2}" role="img" aria-label="#{CGI.escapeHTML(@title)}">) +
        %(<circle r="#{(@hole.to_mm / 2).round(4)}" class="hole" stroke="currentColor" ) +
        %(stroke-width="#{(reach * 0.03).round(4)}"/>#{circles(reach)}#{needed(reach)}</svg>)
    end

    private

    def circles(reach)
      @lines.zip(@packed.centres).map do |line, (x, y)|
        out = Math.hypot(x, y) + (line.to_mm / 2) > (@hole.to_mm / 2) + 1e-6
        %(<circle cx="#{x.round(4)}" cy="#{y.round(4)}" r="#{(line.to_mm / 2).round(4)}" class="#{out ? 'out' : 'in'}" ) +
          %(stroke="currentColor" stroke-width="#{(reach * 0.015).round(4)}"/>)
      end.join
    end

    def needed(reach)
      %(<circle r="#{@packed.radius.round(4)}" fill="none" stroke="currentColor" stroke-width="#{(reach * 0.015).round(4)}" ) +
        %(stroke-dasharray="#{(reach * 0.08).round(4)} #{(reach * 0.05).round(4)}"/>)
    end
  end
end
