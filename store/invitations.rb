# frozen_string_literal: true

require 'json'
require 'securerandom'

module Store
  # Invitations to classes with their answers. An answer stays here until its person was taken in or declined, and for a time after the
  # class, see #forget.
  class Invitations
    include Transactional

    # @param code in its address
    # @param closes_on Date of the last day
    # @param seats how many can take part
    # @param words of the instructor, above the questions
    Invitation = Core::Value.define(:class_id, :code, :closes_on, :seats, words: '', open: true) do
      # @return [Boolean] whether it takes answers
      def open_on?(today)
        open && today <= closes_on
      end
    end
    # @param answer Core::People::Answer
    # @param state :new, :waiting, :accepted or :declined
    Given = Core::Value.define(:id, :class_id, :answer, :state, :at)

    CODE_BYTES = 16
    # More for one class are no answers.
    MOST_ANSWERS = 200

    # @return [Invitation, nil]
    def of(class_id)
      read(@database[:invitations].first(class_id: class_id))
    end

    # @param code [String] @return [Invitation, nil]
    def find(code)
      read(@database[:invitations].first(code: code))
    end

    # Opens one, or changes it; its address stays.
    # @return [Invitation]
    def open(class_id, closes_on:, seats:, words:)
      write do
        rows = @database[:invitations]
        told = { closes_on: closes_on, seats: seats, words: words, open: true }
        changed = rows.where(class_id: class_id).update(told)
        rows.insert(class_id: class_id, code: SecureRandom.urlsafe_base64(CODE_BYTES), **told) if changed.zero?
      end
      of(class_id)
    end

    def close(class_id)
      write { @database[:invitations].where(class_id: class_id).update(open: false) }
    end

    # @param taken [Integer] people who are in the class @return [Given, nil] nil where there are too many
    def answer(invitation, answer, taken:, now: Time.now)
      write do
        rows = @database[:answers].where(class_id: invitation.class_id)
        next if rows.count >= MOST_ANSWERS

        state = taken + rows.where(state: 'new').count < invitation.seats ? 'new' : 'waiting'
        id = @database[:answers].insert(class_id: invitation.class_id, document: JSON.generate(Core::Data::Records::ANSWER.write(answer)),
          state: state, at: now.utc)
        given(@database[:answers].first(id: id))
      end
    end

    # @return [Array<Given>] the first first
    def answers(class_id)
      @database[:answers].where(class_id: class_id).order(:id).map { |row| given(row) }
    end

    # @return [Given] @raise [NotFound]
    def one(class_id, id)
      given(@database[:answers].first(class_id: class_id, id: id) || raise(NotFound.new(:answer, id)))
    end

    # @param state [Symbol] see Given
    def settle(class_id, id, state)
      write { @database[:answers].where(class_id: class_id, id: id).update(state: state.to_s) }
    end

    # @param before [Date] @return [Integer] answers to classes before that day that are gone now; who came stands in the class
    def forget(before)
      write do
        held = @database[:classes].where { date < before }.select(:id)
        @database[:invitations].where(class_id: held).delete
        @database[:answers].where(class_id: held).delete
      end
    end

    # @param names [Array<String>] of someone who is erased @return [Integer] answers of theirs that are gone now
    def erase(names)
      write do
        theirs = @database[:answers].all.select { |row| names.include?(JSON.parse(row[:document])['name']) }
        @database[:answers].where(id: theirs.map { |row| row[:id] }).delete
      end
    end

    private

    def read(row)
      row && Invitation.new(**row)
    end

    def given(row)
      Given.new(id: row[:id], class_id: row[:class_id], answer: Core::Data::Records::ANSWER.read(JSON.parse(row[:document])),
        state: row[:state].to_sym, at: row[:at])
    end
  end
end
