# frozen_string_literal: true

module Web
  module Presenters
    # The invitation to a class as its instructor sees it: what is asked, who answered, and what one more person would change.
    class Invitation < Form
      include Printing
      include OfClass

      # One answer. size: as read · doubts: what to ask again, in words · more: what else they said
      Row = Core::Value.define(:id, :state, :name, :size, :level, :doubts, :more)
      RUNS = 200
      # People beyond those in the class that are tried.
      MOST_MORE = 6
      # Answers of people who are not in the class yet, and may come.
      UNSETTLED = %i[new waiting].freeze

      attr_reader :unit, :questions, :invitation

      # @param address [String] of the studio as people reach it, nil where it is not shared
      # @param given [Array<Store::Invitations::Given>]
      def initialize(result, invitation, given, params, unit, today:, address:, asked: false)
        @result = result
        @invitation = invitation
        @given = given
        @unit = unit
        @today = today
        @address = address
        @questions = Questions.new(result, unit)
        super(typed(first_values.merge(params), %w[closes_on seats words]), Contracts::InvitationContract.new(day: result.workshop.date))
        @errors = {} unless asked
      end

      def open?
        !invitation.nil? && invitation.open_on?(@today)
      end

      # @return [String, nil] what people are sent; nil where nobody else reaches the studio
      def link
        "#{@address}/invited/#{invitation.code}" if invitation && @address
      end

      # @return [String] to look at it here
      def preview
        "/invited/#{invitation.code}"
      end

      # @return [String] a letter to send or print
      def letter
        say('invitation.letter', title: @result.workshop.title, about: questions.about, closes: day(closes_on),
          words: invitation&.words.to_s, link: link || say('invitation.by_sheet'))
      end

      # @return [Array<Row>] those to be settled first
      def rows
        @rows ||= @given.sort_by { |one| [[*UNSETTLED, :accepted, :declined].index(one.state), one.id] }.map { |one| row(one) }
      end

      # @param one [Row, Store::Invitations::Given]
      def unsettled?(one)
        UNSETTLED.include?(one.state)
      end

      def state_words(row)
        say("invitation.states.#{row.state}")
      end

      # @return [Integer] people in the class
      def taken
        @result.state.attendees.size
      end

      def full?
        !invitation.nil? && taken >= invitation.seats
      end

      # @return [String, nil] what the first who is not in yet would change
      def one_more
        next_one = waiting.first or return
        before, after = places.first(2).map { |row| row.chance && (row.chance * 100).round }
        return if before.nil? || after.nil?

        say('invitation.one_more', name: next_one.answer.name, number: taken + 1, before: before, after: after)
      end

      # @return [Array<Core::Comparison::Places::Row>] from those in the class to a few more than there are places
      def places
        @places ||= begin
          attendees = waiting.each_with_index.map { |one, i| attendee(one, "next-#{i}") }
          most = [[invitation.seats, taken + waiting.size].max, taken + MOST_MORE].min
          Core::Comparison::Places.new(@result.inputs, attendees, runs: RUNS).rows([most, taken + 1].max)
        end
      end

      def chance_words(row)
        row.chance ? "#{(row.chance * 100).round} in 100" : say('variants.unknown')
      end

      def enough?(row)
        row.enough?(@result.workshop.session.target)
      end

      # @return [String] how many people the tools and the time are enough for
      def limit_words
        limit = Core::Comparison::Places.limit(places, @result.workshop.session.target)
        key = limit ? 'limit' : (places.first.missing.positive? ? 'no_tools' : 'no_time')
        say("invitation.#{key}", count: limit.to_i, target: @result.workshop.session.target)
      end

      # @param given [Store::Invitations::Given] @return [Core::People::Attendee]
      def attendee(given, key = '')
        given.answer.attendee(key, questions.asked, questions.body || questions.design.body)
      end

      # @return [Array<(String, String)>] address and text of a reminder to those whose size is not known, or unusual
      def reminders
        @given.reject { |one| one.state == :declined || one.answer.mail.empty? }.filter_map do |one|
          next if questions.body.nil? || (one.answer.measure && size_doubts(one.answer).empty?)

          [one.answer.mail, say('invitation.reminder', name: one.answer.name, title: @result.workshop.title, body: questions.body_words,
            about: questions.about)]
        end
      end

      def closes_on
        invitation&.closes_on || [@result.workshop.date - 3, @today].max
      end

      private

      def waiting
        @given.select { |one| unsettled?(one) }
      end

      def first_values
        { 'closes_on' => closes_on.iso8601, 'seats' => (invitation&.seats || [@result.workshop.tool_sets, taken, 1].max).to_s,
          'words' => invitation&.words.to_s }
      end

      def day(date)
        date.strftime('%A %-d %B')
      end

      def row(one)
        answer = one.answer
        Row.new(id: one.id, state: one.state, name: answer.name, size: answer.measure ? length(answer.measure) : '',
          level: answer.level(questions.asked), doubts: size_doubts(answer) + name_doubts(one), more: more(answer))
      end

      def size_doubts(answer)
        return [] if questions.body.nil?
        return [say('invitation.doubts.no_size')] if answer.measure.nil?

        unusual = Core::People::Measures.unusual?(questions.body, answer.measure, answer.needs.age)
        guessed = Formats::MeasureText.read(answer.written, questions.body).guessed
        [(say('invitation.doubts.unusual', size: answer.measure, age: age_words(answer)) if unusual),
         (say('invitation.doubts.guessed', written: answer.written, size: answer.measure) if guessed && !unusual)].compact
      end

      def age_words(answer)
        answer.needs.age ? "age #{answer.needs.age}" : 'an adult'
      end

      def name_doubts(one)
        known = @result.state.attendees.map { |person| Core::People::Register.name_key(person.name) }
        return [] unless unsettled?(one) && known.include?(Core::People::Register.name_key(one.answer.name))

        [say('invitation.doubts.same_name')]
      end

      def more(answer)
        needs = answer.needs
        [*needs.flags.map { |flag| flag == :other_allergy ? "allergic: #{needs.other_allergy}" : say("flags.#{flag}") },
         ("age #{needs.age}" if needs.age), answer.colourway,
         *@result.plan.table.tools.values_at(*answer.brings).compact.map { |tool| "brings #{tool.name.downcase}" },
         (answer.note unless answer.note.empty?)].compact
      end
    end
  end
end
