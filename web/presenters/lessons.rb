# frozen_string_literal: true

module Web
  module Presenters
    # What held classes taught, in words.
    class Lessons
      include Printing

      # The sorts of values, in the order of the page; their words stand under learned.
      SORTS = %w[time people loss lot length price].freeze
      # Classes shown in the list.
      MOST_CLASSES = 25

      # One class it is learnt from.
      HeldRow = Core::Value.define(:id, :title, :date, :people, :tries, :told, :came_true, :used)

      attr_reader :unit, :rows, :fade

      # @param lessons [Application::Lessons] @param studio [Store::Studio] @param fade [Draft] months, as typed or as kept
      def initialize(lessons, studio, unit, fade)
        @state = lessons.state
        @rows = lessons.rows(@state.found)
        @studio = studio
        @unit = unit
        @fade = fade
        @supplier_names = studio.market.all.suppliers.transform_values(&:name)
      end

      def running?
        @state.running?
      end

      def failed?
        !@state.error.nil?
      end

      def percent
        @state.percent
      end

      # @return [Array<(String, Array<Application::Lessons::Row>)>] sort and its rows, of each sort that has any
      def sorts
        SORTS.filter_map { |sort| [sort, rows[sort]] if rows.fetch(sort, []).any? }
      end

      def any?
        !@state.found.nil? && (@state.found.classes.any? || sorts.any?)
      end

      # @return [Boolean] whether anything would change
      def news?
        rows.values.flatten.any?(&:news?)
      end

      # @param row [Application::Lessons::Row]
      def name(row)
        case sort(row)
        when 'time', 'lot', 'length' then row.subject.name
        when 'people' then say("lessons.#{row.subject}")
        when 'price' then offer_name(*row.subject)
        else say("kinds.#{row.subject}")
        end
      end

      # @return [String, nil] where the value itself is kept
      def address(row)
        case sort(row)
        when 'time' then "/stockroom/techniques/#{row.subject.key}"
        when 'lot' then "/stockroom/parts/#{row.subject.key}"
        when 'length' then "/projects/#{row.subject.key}"
        end
      end

      # @return [String] "14 tries in 3 classes"
      def from(row)
        lesson = row.lesson
        return "#{count_of(round(lesson.number), 'pack')} in #{count_of(lesson.classes, 'delivery', 'deliveries')}" if sort(row) == 'price'

        what = case row.about
               when %r{\Atime/} then count_of(lesson.number, 'try', 'tries')
               when 'people/help' then "#{count_of(lesson.seen, 'call')}, #{format('%.1f', lesson.number)} expected,"
               when 'people/between' then count_of(lesson.number, 'person', 'people')
               when 'people/help_minutes' then count_of(lesson.number, 'visit')
               when %r{\Alength/} then count_of(lesson.number, 'piece')
               when %r{\Alot/} then "#{lesson.seen} of #{lesson.number.round} no good,"
               else "#{lesson.seen} of #{lesson.number.round} uses"
               end
        "#{what} in #{count_of(lesson.classes, 'class', 'classes')}"
      end

      # @param number [Float] @return [String] in the unit of the row
      def value(row, number)
        case row.about
        when %r{\Atime/} then "#{format('%g', number)} s"
        when %r{\Alength/} then length(Core::Measure::Length.mm(number))
        when %r{\Aprice/} then row.subject.first.price.with(minor: number.to_i).to_s
        when 'people/between' then "#{(number * 100).round} %"
        when 'people/help_minutes' then "#{format('%.1f', number)} min"
        when 'people/help' then "#{(number * 100).round} of 100"
        else "#{format('%.1f', number * 100)} of 100"
        end
      end

      # @return [Array<(String, String, Hash)>] what can be done with it: address, words, and what else is sent
      def moves(row)
        [(['/techniques/learnt', 'Use it', {}] if row.news?),
         (['/techniques/learnt/back', 'Take back', {}] if row.used),
         ['/techniques/learnt/fix', row.fixed ? 'Let it learn' : 'Keep as it is', { fixed: row.fixed ? '0' : '1' }]].compact
      end

      # @return [String] what is told once it is used: "Flat crimp: 92 s (was 110 s), from 14 tries in 3 classes."
      def told(row)
        "#{name(row)}: #{value(row, row.learnt)} (was #{value(row, row.now)}), from #{from(row)}."
      end

      # @return [Array<String>] who did not come, and how late classes began
      def attendance_words
        found = @state.found.learnt.attendance
        low, high = found.range.map { |share| (share * 100).round } if found.enough?
        [(say('attendance.missing', count: found.missing, of: found.signed_up, low: low, high: high) if found.enough?),
         (say('attendance.late', count: found.usual_delay.round, classes: found.late.size) if found.late.size >= LEAST_STARTS)].compact
      end

      # Fewer starts say nothing.
      LEAST_STARTS = 3

      # @return [Core::Logbook::TrackRecord]
      def record
        @state.found.learnt.record
      end

      # @return [Array<(String, Integer, String, String)>] told, classes, came true, range
      def record_rows
        record.rows.map { |row| [of_hundred(row.told), row.classes, "#{row.came} (#{of_hundred(row.share)})",
          "#{of_hundred(row.low)} and #{of_hundred(row.high)}"] }
      end

      def brier
        format('%.2f', record.brier)
      end

      # @return [String] what came true over what was told
      def curve
        Formats::TrackRecordSvg.new(record.rows).to_s
      end

      # @return [Array<HeldRow>] the newest first
      def classes
        newest = @state.found.classes.to_a.reverse.first(MOST_CLASSES)
        titles = @studio.classes.some(newest.map(&:first)).to_h { |stored| [stored.id, stored.state.workshop] }
        newest.filter_map do |id, one|
          workshop = titles[id] or next
          HeldRow.new(id: id, title: workshop.title, date: workshop.date.strftime('%-d %b %Y'), people: one.people, tries: one.tries,
            told: one.told ? of_hundred(one.told) : 'not known', used: used(one),
            came_true: { true => 'yes', false => 'no', nil => 'not known' }.fetch(one.came_true))
        end
      end

      # @return [String, nil] of how many classes the list does not show
      def more
        hidden = @state.found.classes.size - MOST_CLASSES
        "#{count_of(hidden, 'older class', 'older classes')} not shown here count as well." if hidden.positive?
      end

      private

      # @param one [Core::Logbook::HeldClass::Summary] @return [String] whether it is learnt from
      def used(one)
        return 'left out' unless one.teaches

        one.irregular ? 'in part: many taps came late or were forgotten' : 'yes'
      end

      def sort(row)
        row.about[%r{\A[^/]+}]
      end

      def of_hundred(share)
        "#{(share * 100).round} of 100"
      end

      # @return [Integer, Float] packs that came in part are told to a tenth
      def round(number)
        number == number.to_i ? number.to_i : number.to_f.round(1)
      end

      # @return [String] "Round bead, 6 mm: 50 pieces, Bead supplier"
      def offer_name(offer, item)
        "#{item&.name || offer.item}: #{Formats::OfferText.content(offer, unit)}, #{@supplier_names[offer.supplier]}"
      end
    end
  end
end
