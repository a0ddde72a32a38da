# frozen_string_literal: true

module Formats
  # Draws a session as a ribbon: a row an attendee, minutes along, the class's end as a line.
  # Work is solid, watching striped, being helped dotted, waiting a low bar, what is before and after the work open: the same in print. What
  # someone waits for is said at each wait. Where it is known, the stretch in which four of five finishes lie is shaded.
  class RibbonSvg
    include SvgText

    ROW = 20
    LABEL = 150
    WIDTH = 1000
    # How kinds of time are told apart.
    KINDS = %i[work helped waiting watching break].freeze
    KIND_OF = { work: :work, extra: :work, helped: :helped, demonstration: :watching, welcome: :break, clearing: :break }.freeze
    # Height and place of each kind within a row.
    SHAPES = Hash.new([0, ROW - 6]).merge(waiting: [10, 4]).freeze
    # Shorter waits are not told one by one.
    TOLD_MINUTES = 1.0
    # Width of a letter of what is written over a wait.
    LETTER = 5.6
    PATTERNS = '<defs><pattern id="stripes" width="5" height="5" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">' \
               '<path d="M0 0v5" stroke="currentColor" stroke-width="2.4"/></pattern>' \
               '<pattern id="dots" width="4" height="4" patternUnits="userSpaceOnUse">' \
               '<rect width="2" height="4" fill="currentColor"/></pattern></defs>'
    # One name with its row.
    #
    # @param key of the person
    # @param chosen drawn stronger
    # @param range [early, late] minutes of its end, nil when not known
    # @param said [(minute, minute, String)] what is written over a stretch, nil for nothing
    Row = Core::Value.define(:key, :name, :segments, :chosen, range: nil, said: nil)

    # @param rows [Array<Row>] @param start [Core::Measure::ClockTime] @param available [Integer] minutes of the class
    def initialize(rows, start:, available:, title:)
      @rows = rows
      @start = start
      @available = available
      @title = title
    end

    # @return [String]
    def to_s
      %(<svg class="ribbon" viewBox="0 0 #{WIDTH} #{height}" role="group" ) +
        %(aria-label="#{h(@title)}">#{PATTERNS}#{hours}#{bars}#{end_line}</svg>)
    end

    # @return [String] a small sample of one kind, for the legend
    def self.sample(kind)
      top, height = SHAPES[kind]
      %(<svg viewBox="0 0 20 14" aria-hidden="true"><rect class="span-#{kind}" y="#{top}" width="20" height="#{height}"/></svg>)
    end

    private

    def height
      (@rows.size * ROW) + 30
    end

    def span
      @span ||= [@available, *@rows.map { |row| [row.segments.last.to, row.range&.last || 0].max }].max * 1.04
    end

    def x(minute)
      (LABEL + ((WIDTH - LABEL - 10) * minute / span)).round(1)
    end

    def hours
      (0..(span / 15).floor).map do |i|
        at = x(i * 15)
        label = i.even? ? %(<text x="#{at}" y="#{height - 4}" font-size="12" text-anchor="middle" ) +
          %(fill="currentColor">#{@start + (i * 15)}</text>) : ''
        %(<path d="M#{at} 0V#{height - 18}" stroke="currentColor" stroke-width="0.5" ) +
          %(opacity="0.35"/>#{label}) unless i.even? && at > WIDTH - 15
      end.join
    end

    def bars
      @rows.each_with_index.map do |row, index|
        top = (index * ROW) + 3
        %(<a class="lane#{' chosen' if row.chosen}" href="?seat=#{h(row.key)}" data-seat="#{h(row.key)}"><rect class="lane-hit" x="0" ) +
          %(y="#{top - 2}" width="#{WIDTH}" height="#{ROW}" fill="transparent"/><text x="#{LABEL - 8}" y="#{top + 11}" font-size="13" ) +
          %(text-anchor="end" fill="currentColor"#{' font-weight="700"' if row.chosen}>#{h(short(row.name))}) +
          %(</text>#{range(row, top)}#{bars_of(row.segments, top)}#{waits(row.segments, top)}#{said(row.said, top)}</a>)
      end.join
    end

    def range(row, top)
      return '' unless row.range

      from, to = row.range.map { |minute| x(minute) }
      %(<rect class="range" x="#{from}" y="#{top - 2}" width="#{[to - from, 1].max.round(1)}" height="#{ROW - 2}" fill="currentColor" ) +
        %(opacity="0.18"/>)
    end

    # One path for each kind: stretches of the same kind that touch become one.
    def bars_of(segments, top)
      runs(segments).group_by(&:first).map do |kind, alike|
        down, tall = SHAPES[kind]
        boxes = alike.map do |_, from, to|
          left = x(from)
          wide = [x(to) - left, 0.6].max.round(1)
          "M#{left} #{top + down}h#{wide}v#{tall}h-#{wide}z"
        end
        %(<path class="span-#{kind}" d="#{boxes.join}"/>)
      end.join
    end

    # @return [Array<(Symbol, Float, Float)>] kind and minutes
    def runs(segments)
      segments.each_with_object([]) do |segment, runs|
        kind = KIND_OF.fetch(segment.kind, :waiting)
        runs.last&.first == kind ? runs.last[2] = segment.to : runs << [kind, segment.from, segment.to]
      end
    end

    # What each wait is for, told when pointed at.
    def waits(segments, top)
      waits = segments.select { |one| !KIND_OF.key?(one.kind) && one.minutes >= TOLD_MINUTES }
      waits.map { |one|
        left = x(one.from)
        %(<rect x="#{left}" y="#{top - 2}" width="#{(x(one.to) - left).round(1)}" height="#{ROW - 2}" fill="transparent"><title>) +
          h("#{@start + one.from}–#{@start + one.to} #{Wording.say("spans.#{one.kind}")}, #{one.minutes.round} min") + '</title></rect>'
      }.join
    end

    # Over the stretch, or left of its end where it is longer than that.
    def said(said, top)
      return '' if said.nil?

      from, to, words = said
      at = [x(from), x(to) - (words.length * LETTER)].min
      %(<text class="over" x="#{at.round(1)}" y="#{top + 8}" font-size="11" font-weight="700" fill="currentColor">#{h(words)}</text>)
    end

    def end_line
      at = x(@available)
      %(<g class="end"><path d="M#{at} 0V#{height - 14}" stroke="currentColor" stroke-width="2.5"/>) +
        %(<text x="#{at - 5}" y="#{height - 18}" font-size="12" font-weight="700" text-anchor="end" ) +
        %(fill="currentColor">#{h("ends #{@start + @available}")}</text></g>)
    end

    def short(name)
      name.length > 20 ? "#{name[0, 19]}…" : name
    end
  end
end
