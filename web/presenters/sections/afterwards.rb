# frozen_string_literal: true

module Web
  module Presenters
    module Sections
      # The day after: what came of the kits, and what is left to do.
      class Afterwards < Section
        include Supplied

        # @return [Core::Setup::Note]
        def note
          workshop.note
        end

        # @return [Array<Settings::Row>] how it ended, for who does not write down each person
        def noted
          Settings.new(Core::Setup::Note, :note, note, draft: draft(:note), currency: currency).rows
        end

        # @return [String, nil] money taken against what the seats were planned to bring and what the class cost
        def takings
          return if note.taken.nil?

          seat = @reading.seat_costs
          return "Taken: #{money(note.taken)}. What a class cost is kept when its kits leave the stock." if seat.nil?

          left = seat.left_of(money(note.taken))
          came = left.minor.negative? ? "#{left * -1} are missing" : "#{left} are left over"
          seats = " #{count_of(seat.people, 'seat')} at #{seat.price} come to #{seat.brings}." if seat.price
          "Taken: #{money(note.taken)}.#{seats} The class cost #{seat.total}, so #{came}."
        end

        # @return [Array<(String, String, String, String)>] name, planned, measured and by how much that is off
        def measured
          evening.people.values.select(&:measured).map do |person|
            planned = plan.person(person.key).piece.inside
            by = person.measured - planned
            [plan.person(person.key).attendee.name, length(planned), length(person.measured),
             by.zero? ? 'as planned' : "#{length(by.abs)} #{by.positive? ? 'longer' : 'shorter'}"]
          end
        end

        # @return [Array<String>] spares that were used, by part
        def spares_used
          used = evening.people.values.flat_map { |person| person.spares + person.rejects }.tally
          no_good = evening.people.values.flat_map(&:rejects).tally
          used.map do |key, number|
            rejected = no_good.key?(key) ? " (#{no_good[key]} of them for parts that were no good)" : ''
            "#{number} × #{plan.table.parts[key]&.name || key}#{rejected}"
          end
        end

        # @return [Array<String>] what of this class's orders has not come
        def due
          @reading.orders.select { |ordered|
            ordered.due.positive?
          }.map { |ordered| "#{ordered.due} of #{ordered.units} × #{name_of(ordered)}" }
        end

        # @return [Array<Core::Live::Record::Row>] what each step took; empty where nothing was tapped
        def record
          @rows ||= record_of_class.rows
        end

        # @return [Boolean] whether what was planned is still being simulated
        def waiting?
          @reading.forecasting.running?
        end

        # @return [String] what counts as taken
        def counted
          return 'What was taken counts from one tap to the next, with watching and waiting.' unless record_of_class.work_alone?

          'What was taken counts from when the work could begin, after what was shown and once the tools were free, to the next tap. ' \
            'Grey is where 8 of 10 planned times lie; the thin line reaches to the slowest.'
        end

        # @return [Array<String>] when who had finished
        def finished
          record_of_class.finished.sort_by(&:last).map { |key, minute| "#{plan.person(key).attendee.name} at #{workshop.start + minute}" }
        end

        # @return [Array<(String, String, String, String)>] name, when planned, when finished, ahead or behind
        def finishes
          record_of_class.finishes.map do |one|
            by = one.behind.round
            off = by.zero? ? 'as planned' : "#{by.abs} min #{by.positive? ? 'behind' : 'ahead'}"
            [plan.person(one.person).attendee.name, "#{workshop.start + one.early} to #{workshop.start + one.late}",
             (workshop.start + one.minute).to_s, off]
          end
        end

        # @return [String, nil] what everyone did when, planned over real
        def as_it_went
          forecast = @reading.forecast
          return if forecast.nil? || !record_of_class.work_alone?

          rows = fitted.map(&:attendee).flat_map { |attendee| planned_and_real(attendee, forecast) }
          return if rows.empty?

          Formats::RibbonSvg.new(rows, start: workshop.start, available: workshop.minutes,
            title: 'Each person as planned, and below as it went').to_s
        end

        # @return [Array<String>] who had not, and at which step they were
        def unfinished
          return [] if evening.started.nil?

          evening.working.map { |person| "#{plan.person(person.key).attendee.name}: #{step_in_short(person.task.step)}" }
        end

        # @return [Array<String>] how many more pieces the shelf makes, at which sizes, and what runs out first
        def leftovers
          found = @reading.leftovers
          return ["nothing more of this. Missing: #{few(found.first.first_out)}."] if found.any? && found.sum(&:pieces).zero?

          found.map do |one|
            out = one.first_out.empty? ? '' : " First to run out: #{few(one.first_out)}."
            "#{count_of(one.pieces, 'piece')} for #{length(one.measure)}.#{out}"
          end
        end

        # @return [String] the first three by name, and how many more
        def few(items)
          named = items.first(3).map(&:name).join('; ')
          items.size > 3 ? "#{named}; and #{items.size - 3} more" : named
        end
        private :few

        # @return [Boolean] whether it can be written down by hand: nothing was tapped, or only by hand
        def by_hand?
          @reading.live_events.all? { |event| event.key.start_with?(ByHandForm::MARK) }
        end

        # @return [Array<(String, String, String, String)>] key, name, time as written, and what is wrong with it
        def by_hand
          typed = draft(:by_hand)
          plan.people.select(&:fitted?).map do |person|
            key = person.attendee.key
            [key, person.attendee.name, typed ? typed.values[key].to_s : written(key), typed&.error(key)]
          end
        end

        def ends
          workshop.ends
        end

        # @return [String] what was planned against what it took; the longest of all steps fills the width
        def bar(row)
          @longest ||= record.flat_map { |one| [one.planned, one.taken, *one.range, one.spread.last] }.max
          Formats::TakenBarSvg.new(row, @longest).to_s
        end

        # @return [Array<String>] erasable people: taken out of the class, still in an earlier state
        def removed
          @reading.removed_people
        end

        # @return [Core::Price::Seat, nil] as it was when the kits left the stock
        def seat_costs
          @reading.seat_costs
        end

        private

        def written(key)
          minute = record_of_class.finished[key]
          minute ? (workshop.start + minute).to_s : ''
        end

        def record_of_class
          @record_of_class ||= begin
            model = @reading.model
            Core::Live::Record.new(evening, (model if model.is_a?(Core::Session::Model)), @reading.forecast)
          end
        end

        def planned_and_real(attendee, forecast)
          key = attendee.key
          real = record_of_class.segments(key)
          return [] if real.empty? || !forecast.finishes.key?(key)

          row = Formats::RibbonSvg::Row
          [row.new(key: key, name: attendee.name, segments: forecast.typical.rows.fetch(key), chosen: false,
            range: record_of_class.planned_finish(key)),
           row.new(key: key, name: 'as it went', segments: real, chosen: true)]
        end

        def evening
          @evening ||= Core::Live::LiveState.new(plan, @reading.live_events)
        end

        def name_of(ordered)
          table = ordered.kind == :part ? @reading.catalogue.parts : @reading.catalogue.lines
          table[ordered.item]&.name || ordered.item
        end
      end
    end
  end
end
