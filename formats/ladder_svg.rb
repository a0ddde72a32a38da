# frozen_string_literal: true

module Formats
  # Draws techniques as a map: a column a level, a line from each prerequisite to what needs it.
  class LadderSvg
    include SvgText

    COLUMN = 250
    BOX = [214, 40].freeze
    ROW = 54
    TOP = 64
    # Letters of a name that fit its box, and that still can be read when they are drawn closer.
    WIDE_LETTERS = 30
    MOST_LETTERS = 40

    # @param ladder [Core::Steps::Ladder] @param people [Hash{Integer=>Array<String>}] names by level, may be empty
    def initialize(ladder, people)
      @rungs = ladder.rungs
      @needs = ladder.needs
      @people = people
    end

    # @return [String] each technique is a link to /stockroom/techniques/KEY
    def to_s
      %(<svg class="ladder" viewBox="0 0 #{COLUMN * 5} #{height}" role="group" aria-label="Techniques by ) +
        %(level">#{heads}#{lines}#{boxes}</svg>)
    end

    private

    def height
      (@rungs.map(&:size).max.to_i * ROW) + TOP + 10
    end

    def places
      @places ||= @rungs.each_with_index.flat_map { |techniques, column|
        techniques.each_with_index.map { |technique, row|
          [technique.key, [(column * COLUMN) + 6, TOP + (row * ROW)]]
        }
      }.to_h
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
      @needs.map do |before, technique|
        (ax, ay), (bx, by) = places.values_at(before.key, technique.key)
        start = [ax + BOX[0], ay + (BOX[1] / 2)]
        goal = [bx, by + (BOX[1] / 2)]
        curve = "C#{start[0] + 18} #{start[1]} #{goal[0] - 18} #{goal[1]} #{goal[0]} #{goal[1]}"
        path = ax == bx ? "M#{ax} #{start[1]}h-4V#{goal[1]}h4" : "M#{start[0]} #{start[1]}#{curve}"
        %(<path d="#{path}" fill="none" stroke="currentColor" stroke-width="1.5"/>)
      end.join
    end

    def boxes
      @rungs.flatten.map do |technique|
        x, y = places[technique.key]
        %(<a href="/stockroom/techniques/#{technique.key}"><rect x="#{x}" y="#{y}" width="#{BOX[0]}" height="#{BOX[1]}" rx="5"/>) +
          name(technique.name, x + 10, y + 17) +
          %(<text x="#{x + 10}" y="#{y + 33}" font-size="12" fill="currentColor">#{h(facts(technique))}</text></a>)
      end.join
    end

    # What is too long for its box is drawn closer, and cut where that would not be read.
    def name(text, x, y)
      shown = text.length > MOST_LETTERS ? "#{text[0, MOST_LETTERS - 1]}…" : text
      close = %( textLength="#{BOX[0] - 20}" lengthAdjust="spacingAndGlyphs") if shown.length > WIDE_LETTERS
      whole = "<title>#{h(text)}</title>" unless shown == text
      %(<text x="#{x}" y="#{y}" font-size="14" font-weight="700" fill="currentColor"#{close}>#{h(shown)}#{whole}</text>)
    end

    def facts(technique)
      shown = technique.demonstration_minutes.positive? ? ", shown in #{format('%g', technique.demonstration_minutes)} min" : ''
      "#{format('%g', technique.seconds)} s each#{shown}"
    end
  end
end
