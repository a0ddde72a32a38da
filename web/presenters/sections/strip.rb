# frozen_string_literal: true

module Web
  module Presenters
    module Sections
      # The head of a class's page: what it is, how it stands, its places, undo, and its settings.
      class Strip < Section
        # One of the places. path: its address · sections: what it holds, so that an old address finds it
        Place = Core::Value.define(:key, :name, :path, :current, :sections)

        ORDER = %i[will_not unknown tight awaited fits].freeze

        def workshop
          @reading.stored.state.workshop
        end

        def buildable?
          !plan.nil?
        end

        def when_and_where
          ends = workshop.ends
          ["#{workshop.date.strftime('%a %-d %b %Y')}, #{workshop.start}\u2013#{ends}",
           (workshop.venue unless workshop.venue.empty?)].compact.join(' · ')
        end

        # @return [Array<Core::Advice::Verdict>] what is to be done, worst first, and how the evening will go
        def verdicts
          @verdicts ||= @reading.verdicts.reject { |verdict|
            settled?(verdict)
          }.sort_by.with_index { |verdict, index| [ORDER.index(verdict.status), index] }
        end

        # @return [Array<Core::Advice::Verdict>] what is well, told as one
        def settled
          @reading.verdicts.select { |verdict| settled?(verdict) }
        end

        def settled_words
          settled.map { |verdict| short_words(verdict) }.join(' · ')
        end

        # @return [String, nil] price of a seat
        def price
          @reading.seat_price&.to_s if plan&.needs&.any?
        end

        # @return [String, nil] what that price leaves out, where something has no price
        def price_without
          seat = @reading.seat_costs
          return if seat.nil? || seat.unpriced.empty?

          say(seat.materials.minor.zero? ? 'seat_without.all' : 'seat_without.some', count: seat.unpriced.size)
        end

        # @return [Core::Advice::Verdict, nil] what is best done next
        def next_thing
          @reading.verdicts.find(&:in_the_way?) || verdicts.find { |verdict| verdict.status == :tight }
        end

        def places
          ClassPage::PLACES.map do |key, sections|
            Place.new(key: key, name: say("places.#{key}"), path: ClassPage.path(id, key), current: key == place, sections: sections)
          end
        end

        # @param section [String, Symbol] @return [String] where it stands now
        def address(section)
          ClassPage.address(id, section, from: place)
        end

        # @return [String] where the next thing is done
        def next_address
          ClassPage.address_of(id, next_thing, from: place)
        end

        # @return [String, nil] what undo or redo would do, in words
        def step_words(kind)
          step = @reading.steps_back[kind]
          step && Change.words(step)
        end

        # @return [Array<Settings::Row>]
        def settings
          Settings.new(Core::Setup::Workshop, :class, workshop, draft: draft(:settings), currency: nil).rows
        end

        private

        def settled?(verdict)
          verdict.status == :fits && verdict.section != :clock
        end
      end
    end
  end
end
