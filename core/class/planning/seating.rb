# frozen_string_literal: true

module Core
  module Planning
    # Where everyone sits and what stands between them, from the front: those who see less nearest the lamp and the front,
    # minors within the instructor's reach, left-handers at the left end of a table where no elbow is in their way, and
    # beginners beside someone who knows more.
    class Seating
      # One place.
      #
      # @param table from 0, seat counted from the left
      # @param seat see table
      # @param reasons why just here
      Seat = Value.define(:attendee, :table, :seat, reasons: [].freeze)
      # A tool that several share.
      #
      # @param tables those it stands for
      # @param number how many stand there
      Station = Value.define(:tool, :number, :tables)
      SeatingChart = Value.define(:seats, :stations, :own, :per_table)

      PER_TABLE = 4

      # @param attendees [Array<People::Attendee>] @param tools [Array<Steps::ToolNeed>]
      def initialize(attendees, tools, per_table: PER_TABLE)
        @attendees = attendees
        @tools = tools
        @per_table = per_table
      end

      # @return [SeatingChart]
      def plan
        SeatingChart.new(seats: seats, stations: stations, own: @tools.reject(&:shared?).map(&:tool), per_table: @per_table)
      end

      private

      def seats
        tables.each_with_index.flat_map do |people, table|
          arranged(people).each_with_index.map { |attendee, seat|
            Seat.new(attendee: attendee, table: table, seat: seat, reasons: reasons(attendee, table, seat))
          }
        end
      end

      # The front table first for sight, then for minors, with a place kept there for someone who knows more; each table has one left end.
      def tables
        number = (@attendees.size / @per_table.to_f).ceil
        room = Array.new(number) { [] }
        left, others = @attendees.partition { |attendee| attendee.left_handed? }
        front, rest = others.partition { |attendee| attendee.flags.intersect?(%i[low_vision minor]) }
        left.each { |attendee|
          (room.find { |table|
            table.size < @per_table && table.none? { |other|
              other.left_handed?
            }
          } || room.find { |table|
                 table.size < @per_table
               }) << attendee
        }
        front.sort_by { |attendee| attendee.flags.include?(:low_vision) ? 0 : 1 }.each { |attendee|
          (room.find { |table|
            table.size < @per_table - 1
          } || room.find { |table|
                 table.size < @per_table
               }) << attendee
        }
        mixed(rest, room)
        room
      end

      # Those who know most are dealt out one a table in turn, then those who know least.
      def mixed(rest, room)
        sorted = rest.sort_by { |attendee| -attendee.level }
        until sorted.empty?
          open = room.select { |table| table.size < @per_table }.max_by { |table| [@per_table - table.size, -room.index(table)] }
          knows = open.any? { |attendee| attendee.level >= 3 }
          open << (knows ? sorted.pop : sorted.shift)
        end
      end

      # Left-handers at the left end; then beginners beside those who know, in turn.
      def arranged(people)
        left, right = people.partition { |attendee| attendee.left_handed? }
        low, high = right.sort_by(&:level).then { |sorted| [sorted.first(sorted.size / 2), sorted.drop(sorted.size / 2).reverse] }
        left + high.zip(low).flatten.compact
      end

      def reasons(attendee, table, seat)
        flags = attendee.flags
        [(:near_the_lamp if flags.include?(:low_vision) && table.zero?),
         (:in_reach if flags.include?(:minor) && table.zero?),
         (:left_end if flags.include?(:left_handed) && seat.zero?)].compact
      end

      # A shared tool stands with the tables that use it in turn; one for the class with the instructor.
      def stations
        number = [(@attendees.size / @per_table.to_f).ceil, 1].max
        @tools.select { |need| need.shared? && need.users.positive? }.map do |need|
          for_class = need.tool.people_per_tool.zero? || need.needed == 1
          Station.new(tool: need.tool, number: need.needed, tables: for_class ? [] : shares(need.needed, number))
        end
      end

      # @return [Array<Integer>] how many stand at each table, as even as can be
      def shares(tools, tables)
        (0...tables).map { |table| (tools / tables) + (table < tools % tables ? 1 : 0) }
      end
    end
  end
end
