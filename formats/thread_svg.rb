# frozen_string_literal: true

module Formats
  # The way threads take through beads, to be followed: each thread with a line of its own and the order of its beads in numbers.
  class ThreadSvg
    include SvgText

    # Threads are told apart by their line and by the form about their numbers.
    LINES = [{ dash: nil, fill: '#12161f', ink: '#ffffff' }, { dash: '1.1 0.7', fill: '#ffffff', ink: '#12161f' }].freeze
    MARGIN = 3.0
    NUMBER_MM = 1.15
    SPREAD = 2.0

    # @param threads [Core::Making::Threads] @param title [String] @param mirrored [Boolean] for a left-hander
    def initialize(threads, title:, mirrored: false)
      @threads = spread(mirrored ? threads.mirrored : threads)
      @title = title
    end

    # @return [String]
    def to_s
      xs = @threads.slots.map(&:x).minmax
      ys = @threads.slots.map(&:y).minmax
      box = [xs[0] - MARGIN, ys[0] - MARGIN, xs[1] - xs[0] + (2 * MARGIN), ys[1] - ys[0] + (2 * MARGIN)]
      %(<svg viewBox="#{box.map { |one| n(one) }.join(' ')}" role="img" aria-label="#{h(@title)}" class="thread-way">) +
        beads + @threads.threads.keys.each_with_index.map { |name, i| way(name, LINES[i % 2]) }.join +
        @threads.threads.keys.each_with_index.map { |name, i| numbers(name, LINES[i % 2], i) }.join + '</svg>'
    end

    private

    # Beads lie further apart than they will, so that the thread between them is seen.
    def spread(threads)
      Core::Making::Threads.new(threads.slots.map { |slot| slot.with(x: slot.x * SPREAD, y: slot.y * SPREAD) }, threads.threads)
    end

    def beads
      @threads.slots.map { |slot|
        along, across = slot.part.along.to_mm, slot.part.outer.to_mm
        %(<g transform="translate(#{n(slot.x)} #{n(slot.y)}) rotate(#{n(slot.turn)})"><rect x="#{n(-along / 2)}" y="#{n(-across / 2)}" ) +
          %(width="#{n(along)}" height="#{n(across)}" rx="0.4" fill="#{h(slot.part.colour)}" fill-opacity="0.45" stroke="#12161f" ) +
          %(stroke-width="0.08"/></g>)
      }.join
    end

    def way(name, style)
      path = @threads.way(name).each_with_index.map { |(x, y), i| "#{i.zero? ? 'M' : 'L'}#{n(x)} #{n(y)}" }.join
      dashes = %( stroke-dasharray="#{style[:dash]}") if style[:dash]
      %(<path d="#{path}" fill="none" stroke="#12161f" stroke-width="0.16"#{dashes} stroke-linejoin="round"/>)
    end

    # A bead that both visit carries both numbers, one beside the other.
    def numbers(name, style, thread)
      @threads.threads.fetch(name).each_with_index.map { |visit, i|
        slot = @threads.slots[visit.slot]
        shared = @threads.threads.values.count { |visits| visits.any? { |other| other.slot == visit.slot } } > 1
        aside = shared ? (thread.zero? ? -0.62 : 0.62) : 0.0
        x = n(slot.x + aside)
        %(<circle cx="#{x}" cy="#{n(slot.y)}" r="#{n(NUMBER_MM * 0.52)}" fill="#{style[:fill]}" stroke="#12161f" stroke-width="0.08"/>) +
          %(<text x="#{x}" y="#{n(slot.y + (NUMBER_MM * 0.28))}" font-size="#{n(NUMBER_MM * 0.8)}" text-anchor="middle" ) +
          %(fill="#{style[:ink]}" font-weight="700">#{i + 1}</text>)
      }.join
    end
  end
end
