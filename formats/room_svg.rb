# frozen_string_literal: true

module Formats
  # Draws the room from above: the instructor in front, a table a row, a place for each attendee, shared tools between them.
  class RoomSvg
    include SvgText

    WIDTH = 1000
    TABLE = 116
    TOP = 66
    SEAT = 150
    LEFT = 150

    # @param plan [Core::Planning::Seating::SeatingChart]
    def initialize(plan, title:)
      @plan = plan
      @title = title
    end

    # @return [String]
    def to_s
      %(<svg class="room" viewBox="0 0 #{WIDTH} #{height}" role="img" ) +
        %(aria-label="#{h(@title)}">#{front}#{(0...tables).map { |table| table(table) }.join}</svg>)
    end

    private

    def tables
      (@plan.seats.map(&:table).max || -1) + 1
    end

    def height
      TOP + (tables * TABLE) + 6
    end

    def front
      shared = @plan.stations.select { |station|
        station.tables.empty?
      }.map { |station| "#{station.number} #{station.tool.name.downcase}" }.join(', ')
      words = shared.empty? ? '' : "shared by all: #{shared}"
      %(<rect x="#{LEFT}" y="6" width="#{WIDTH - LEFT - 10}" height="40" rx="6" fill="none" stroke="currentColor" ) +
        %(stroke-dasharray="6 4"/>) +
        %(<text x="#{LEFT + 12}" y="31" font-size="15" font-weight="700" fill="currentColor">Instructor, lamp</text>) +
        %(<text x="#{LEFT + 150}" y="31" font-size="13" fill="currentColor">#{h(words)}</text>)
    end

    def table(number)
      top = TOP + (number * TABLE)
      seats = @plan.seats.select { |seat| seat.table == number }
      %(<rect x="#{LEFT}" y="#{top}" width="#{WIDTH - LEFT - 10}" height="#{TABLE - 22}" rx="8" fill="none" stroke="currentColor" ) +
        %(stroke-width="1.5"/><text x="8" y="#{top + 20}" font-size="14" font-weight="700" fill="currentColor">Table #{number + 1}) +
        %(</text>#{stations(number, top)}#{seats.map { |seat| seat(seat, top) }.join})
    end

    def stations(number, top)
      @plan.stations.reject { |station| station.tables.empty? || station.tables[number].to_i.zero? }.each_with_index.map do |station, line|
        words = "#{station.tables[number]} #{station.tool.name.downcase}"[0, 24]
        %(<text x="8" y="#{top + 38 + (line * 15)}" font-size="12" fill="currentColor">#{h(words)}</text>)
      end.join
    end

    def seat(seat, top)
      x = LEFT + 14 + (seat.seat * ((WIDTH - LEFT - 30) / @plan.per_table))
      level = (1..5).map { |i| %(<circle cx="#{x + 6 + ((i - 1) * 14)}" cy="#{top + 48}" r="5" ) +
        %(fill="#{i <= seat.attendee.level ? 'currentColor' : 'none'}" stroke="currentColor"/>) }.join
      why = seat.reasons.map { |code| Wording.say("seating.#{code}") }
      minded = seat.attendee.flags.map { |flag| Wording.say("flags.#{flag}") }
      %(<g><title>#{h([seat.attendee.name, *minded, *why].join(', '))}</title><text x="#{x}" y="#{top + 30}" font-size="15" ) +
        %(font-weight="700" fill="currentColor">#{h(seat.attendee.name[0, 22])}</text>#{level}<text x="#{x}" y="#{top + 74}" ) +
        %(font-size="12" fill="currentColor">#{h((minded + why).join(', ')[0, 36])}</text></g>)
    end
  end
end
