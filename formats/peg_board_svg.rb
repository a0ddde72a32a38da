# frozen_string_literal: true

module Formats
  # Where the pegs of a bent form stand, at true size: each with its number in the order of the wire and its diameter, the way of the
  # wire, and a bar to check the printer's scale.
  class PegBoardSvg
    include SvgText

    MARGIN = 6.0
    CHECK_BAR = 50.0
    WORDS_MM = 2.6
    INK = '#12161f'
    PALE = '#e4e6eb'
    WIRE = '#5b6472'

    # @param board [Core::Making::PegBoard] @param mirrored [Boolean] for a left-hander
    def initialize(board, mirrored: false)
      @board = board
      @side = mirrored ? -1 : 1
      @left, @right = spread(:x)
      @top, @bottom = spread(:y)
    end

    # @return [Float] its width at true size, in millimetres
    def wide_mm
      [@right - @left, CHECK_BAR].max + (MARGIN * 2)
    end

    # @return [String]
    def to_s
      %(<svg viewBox="#{n(start)} #{n(@top - MARGIN)} #{n(wide_mm)} #{n(high)}" width="#{n(wide_mm)}mm" height="#{n(high)}mm" role="img" ) +
        %(aria-label="#{h(title)}" class="peg-board">#{[pegs, way, numbers, check_bar].join}</svg>)
    end

    private

    def title
      Wording.say('peg_board.title', pegs: @board.pegs.each_with_index.map { |peg, i|
        Wording.say('peg_board.peg', number: i + 1, across: Core::Measure::Length.mm(peg.across))
      }.join(', '))
    end

    # Pegs and wire reach as far as the widest peg.
    def spread(axis)
      edges = @board.pegs.flat_map { |peg| [-1, 1].map { |way| at(peg, axis) + (way * ((peg.across / 2) + @board.wire.thickness.to_mm)) } }
      ends = @board.path.scan(/-?[\d.]+/).map(&:to_f).each_slice(2).map { |x, y| axis == :x ? x * @side : y }
      [*edges, *ends].minmax
    end

    def at(peg, axis)
      axis == :x ? peg.x * @side : peg.y
    end

    def start
      ((@left + @right) / 2) - (wide_mm / 2)
    end

    def high
      @bottom - @top + (MARGIN * 2) + 8
    end

    def pegs
      @board.pegs.map { |peg|
        %(<circle cx="#{n(at(peg, :x))}" cy="#{n(peg.y)}" r="#{n(peg.across / 2)}" fill="#{PALE}" stroke="#{INK}" stroke-width="0.2"/>)
      }.join
    end

    def numbers
      @board.pegs.each_with_index.map { |peg, i|
        number(i + 1, peg)
      }.join
    end

    # In a small peg it is written small.
    def number(number, peg)
      size = [WORDS_MM, peg.across * 0.8].min
      words(number, at(peg, :x), peg.y + (size * 0.35), anchor: 'middle', size: size)
    end

    # The wire, with a dot where it begins.
    def way
      x, y = @board.path.scan(/-?[\d.]+/).first(2).map(&:to_f)
      mirror = @side.negative? ? ' transform="scale(-1 1)"' : ''
      %(<g#{mirror}><path d="#{@board.path}" fill="none" stroke="#{WIRE}" stroke-width="#{n(@board.wire.thickness.to_mm)}" ) +
        %(stroke-opacity="0.75" stroke-linejoin="round"/><circle cx="#{n(x)}" cy="#{n(y)}" r="0.9" fill="#{INK}"/></g>)
    end

    def check_bar
      y = @bottom + MARGIN + 2
      middle = (@left + @right) / 2
      from = middle - (CHECK_BAR / 2)
      %(<path d="M#{n(from)} #{n(y - 1)}v2m0 -1h#{n(CHECK_BAR)}m0 -1v2" fill="none" stroke="#{INK}" stroke-width="0.25"/>) +
        words(Wording.say('peg_board.check'), middle, y + 3.6, anchor: 'middle')
    end

    def words(text, x_mm, y_mm, anchor: 'start', size: WORDS_MM)
      %(<text x="#{n(x_mm)}" y="#{n(y_mm)}" font-size="#{n(size)}" text-anchor="#{anchor}" fill="#{INK}">#{h(text)}</text>)
    end
  end
end
