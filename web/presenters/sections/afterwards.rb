# frozen_string_literal: true

module Web
  module Presenters
    module Sections
      # The day after: what came of the kits, and what is left to do.
      class Afterwards < Section
        include Supplied

        # @return [Core::Logbook::Note]
        def note
          workshop.note
        end

        # @return [String] money taken, as typed or as noted; empty where it is not known
        def taken_money
          typed(:note, 'taken', note.taken ? amount(note.taken) : '')
        end

        # @return [String, nil] money taken against what the seats were planned to bring and what the class cost
        def takings
          return if note.taken.nil?

          seat = @reading.seat_costs
          return "Taken: #{money(note.taken)}. What a class cost is kept when its kits leave the stock." if seat.nil?

          left = money(note.taken) - seat.total
          came = left.minor.negative? ? "#{left * -1} are missing" : "#{left} are left over"
          seats = " #{count_of(seat.people, 'seat')} at #{seat.price} come to #{seat.price * seat.people}." if seat.price
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
          used = evening.people.values.flat_map(&:spares).tally
          used.map { |key, number| "#{number} × #{plan.table.parts[key]&.name || key}" }
        end

        # @return [Array<String>] what of this class's orders has not come
        def due
          @reading.orders.select { |ordered|
            ordered.due.positive?
          }.map { |ordered| "#{ordered.due} of #{ordered.units} × #{name_of(ordered)}" }
        end

        # @return [Array<Core::Live::Record::Row>] what each step took; empty where nothing was tapped
        def record
          @record ||= Core::Live::Record.new(evening).rows
        end

        # @return [Array<String>] when who had finished
        def finished
          finished = Core::Live::Record.new(evening).finished.sort_by(&:last)
          finished.map { |key, minute| "#{plan.person(key).attendee.name} at #{workshop.start + minute}" }
        end

        # @return [Array<String>] who had not, and at which step they were
        def unfinished
          return [] if evening.started.nil?

          evening.working.map { |person| "#{plan.person(person.key).attendee.name}: #{step_words(person.task.step)}" }
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

        # @return [String] what was planned against what it took, in hundredths of the longer of the two
        def bar(row)
          longest = record.flat_map { |one| [one.planned, one.taken] }.max
          %(<svg class="cut-bar" viewBox="0 0 100 8" preserveAspectRatio="none" aria-hidden="true"><rect class="tail" width="#{(row.planned / longest * 100).round(1)}" height="8"/>) +
            %(<rect class="body" y="2" width="#{(row.taken / longest * 100).round(1)}" height="4"/></svg>)
        end

        # @return [Array<String>] erasable people: taken out of the class, still in an earlier state
        def removed
          @reading.removed_people
        end

        # @return [Core::Bill::Seat, nil] as it was when the kits left the stock
        def seat_costs
          @reading.seat_costs
        end

        private

        def written(key)
          minute = Core::Live::Record.new(evening).finished[key]
          minute ? (workshop.start + minute).to_s : ''
        end

        def evening
          @evening ||= Core::Live::Evening.new(plan, @reading.live_events)
        end

        def name_of(ordered)
          table = ordered.kind == :part ? @reading.catalogue.parts : @reading.catalogue.lines
          table[ordered.item]&.name || ordered.item
        end
      end
    end
  end
end
