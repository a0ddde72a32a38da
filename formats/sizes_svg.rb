# frozen_string_literal: true

module Formats
  # Sizes side by side as large as they are, once the screen is calibrated against a card of known size.
  class SizesSvg
    # @param sizes [Array<(String, Float, Symbol)>] name, millimetres across, :bead or :wire
    # @param pixels [Float] to the millimetre @param card [Array(Float, Float)] its width and height in millimetres
    def initialize(sizes, pixels, card:)
      @sizes = sizes
      @pixels = pixels
      @card = card
    end

    # @return [String]
    def to_s
      width = 120.0
      height = @card.last + 4
      %(<svg class="sizes" width="#{(width * @pixels).round(1)}" height="#{(height * @pixels).round(1)}" viewBox="0 0 #{width} ) +
        %(#{height}" role="img" aria-label="Beads and wires at true scale inside the outline of a bank card">) +
        %(<rect x="1" y="1" width="#{@card.first}" height="#{@card.last}" rx="3.2" fill="none" stroke="currentColor" ) +
        %(stroke-width="0.4" stroke-dasharray="2 1"/>#{rows}</svg>)
    end

    private

    def rows
      beads, wires = @sizes.partition { |_, _, kind| kind == :bead }
      beads.each_with_index.map { |size, i| drawn(size, 10 + (i * 20), 16) }.join + wires.each_with_index.map { |size, i|
        drawn(size, 8 + (i * 14), 38)
      }.join
    end

    def drawn((name, across, kind), x, y)
      shape = if kind == :bead then %(<circle cx="#{x}" cy="#{y}" r="#{across / 2}" fill="none" stroke="currentColor" stroke-width="0.3"/>)
              else %(<path d="M#{x} #{y - 8}v12" stroke="currentColor" stroke-width="#{across.round(3)}"/>)
              end
      %(#{shape}<text x="#{x}" y="#{y + 9}" font-size="3" text-anchor="middle" fill="currentColor">#{name}</text>)
    end
  end
end
