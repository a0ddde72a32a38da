# frozen_string_literal: true

module Formats
  # Draws techniques as a map: a column a level, a line from each prerequisite to what needs it.
  class LadderSvg
    include SvgText

    COLUMN = 250
    BOX = [214, LadderLayout::BOX].freeze
    # How far those stand in that stand on another of their level.
    INDENT = 12
    TOP = 64
    # Between the map and those that stand alone.
    GAP = 56
    ALONE = 34
    # Letters of a name that fit its box, and that still can be read when they are drawn closer.
    WIDE_LETTERS = 30
    MOST_LETTERS = 40

    # @param ladder [Core::Steps::Ladder] @param people [Hash{Integer=>Array<String>}] names by level, may be empty
    # @param to [String] key of a technique the way to which is shown, '' for none
    def initialize(ladder, people, to = '')
      @ladder = ladder
      @people = people
      @way = ladder.way_to(to)
      @layout = LadderLayout.new(ladder)
    end

    # @return [String] each technique is a link to /stockroom/techniques/KEY
    def to_s
      %(<svg class="ladder#{' with-way' if @way.any?}" viewBox="0 0 #{COLUMN * 5} #{height}" role="group" aria-label="Techniques by ) +
        %(level">#{heads}#{lines}#{boxes}#{alone}</svg>)
    end

    private

    def height
      bottom + GAP + ((@ladder.alone.group_by(&:level).values.map(&:size).max || 0) * ALONE)
    end

    # Of the map.
    def bottom
      TOP + @layout.height
    end

    def left(level)
      ((level - 1) * COLUMN) + 6
    end

    # @return [(Float, Float, Float)] left, top and width of a technique's box
    def place(technique)
      indent = @layout.depth(technique).zero? ? 0 : INDENT
      [left(technique.level) + indent, TOP + @layout.y(technique), BOX[0] - indent]
    end

    def heads
      (1..5).map do |level|
        x = ((level - 1) * COLUMN) + 6
        beads = (1..5).map { |i| %(<circle cx="#{x + 6 + (i * 16) - 8}" cy="14" r="6" fill="#{i <= level ? 'currentColor' : 'none'}" ) +
          %(stroke="currentColor"/>) }.join
        names = @people.fetch(level, [])
        shown = names.size > 1 ? "#{names.first[0, 20]} and #{names.size - 1} more" : names.join
        %(#{beads}<text x="#{x + 94}" y="19" font-size="15" font-weight="700" fill="currentColor">level #{level}</text><text x="#{x}" ) +
          %(y="44" font-size="13" fill="currentColor">#{h(shown)}</text>)
      end.join
    end

    def lines
      across = @layout.lines.map { |before, technique, heights| line(curve(before, heights), before, technique) }
      within = @ladder.needs.select { |before, technique| before.level == technique.level }.map { |before, technique|
        (ax, ay,), (bx, by,) = place(before), place(technique)
        line("M#{ax + 4} #{ay + BOX[1]}V#{by + (BOX[1] / 2)}H#{bx}", before, technique)
      }
      (across + within).join
    end

    def line(path, before, technique)
      %(<path d="#{path}" fill="none" stroke="currentColor" stroke-width="1.5"#{way([before, technique])}/>)
    end

    # Curves between the columns, straight where a level is passed.
    def curve(before, heights)
      heights.each_cons(2).with_index.map { |(from, to), i|
        x = left(before.level + i) + BOX[0]
        to_x = left(before.level + i + 1)
        "#{i.zero? ? 'M' : 'L'}#{x} #{TOP + from}C#{x + 18} #{TOP + from} #{to_x - 18} #{TOP + to} #{to_x} #{TOP + to}"
      }.join
    end

    def way(techniques)
      ' class="on-way"' if @way.any? && techniques.all? { |technique| @way.include?(technique.key) }
    end

    def boxes
      (@ladder.rungs.flatten - @ladder.alone).map { |technique| box(technique, *place(technique), BOX[1]) }.join
    end

    def box(technique, x, y, width, height)
      facts = %(<text x="#{x + 10}" y="#{y + 33}" font-size="12" fill="currentColor">#{h(facts(technique))}</text>) if height == BOX[1]
      %(<a href="/stockroom/techniques/#{technique.key}"#{way([technique])}><rect x="#{x}" y="#{y}" width="#{width}" ) +
        %(height="#{height}" rx="5"/>) +
        name(technique.name, x + 10, y + 17, width - 20) + "#{facts}</a>"
    end

    def alone
      return if @ladder.alone.empty?

      head = %(<text x="6" y="#{bottom + 38}" font-size="15" font-weight="700" fill="currentColor">) +
             'These need nothing, and nothing needs them</text>'
      head + @ladder.alone.group_by(&:level).flat_map { |level, same|
        same.each_with_index.map { |technique, i| box(technique, left(level), bottom + GAP + (i * ALONE), BOX[0], 26) }
      }.join
    end

    # What is too long for its box is drawn closer, and cut where that would not be read.
    def name(text, x, y, width)
      shown = text.length > MOST_LETTERS ? "#{text[0, MOST_LETTERS - 1]}…" : text
      close = %( textLength="#{width}" lengthAdjust="spacingAndGlyphs") if shown.length > WIDE_LETTERS
      whole = "<title>#{h(text)}</title>" unless shown == text
      %(<text x="#{x}" y="#{y}" font-size="14" font-weight="700" fill="currentColor"#{close}>#{h(shown)}#{whole}</text>)
    end

    def facts(technique)
      shown = technique.demonstration_minutes.positive? ? ", shown in #{format('%g', technique.demonstration_minutes)} min" : ''
      "#{format('%g', technique.seconds)} s each#{shown}"
    end
  end
end
