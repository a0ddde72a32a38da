# frozen_string_literal: true

module Web
  module Presenters
    # What a class must know of somebody, as sent.
    class NeedsForm
      include Fields

      N = Core::People::Needs
      FLAGS = %w[minor left_handed low_vision].freeze
      TEXTS = { 'guardian' => 120, 'other_allergy' => 300 }.freeze

      def initialize(params)
        @values = (FLAGS + TEXTS.keys + ['age']).to_h { |name| [name, clean(params[name])] }
        { 'allergies' => N::ALLERGIES, 'help' => N::HELP }.each { |name, known| @values[name] = (Array(params[name]).grep(String) & known.map(&:to_s)).join(' ') }
        @errors = check
      end

      # @return [Core::People::Attendee]
      def apply(attendee)
        attendee.with(needs: N.new(**FLAGS.to_h { |name| [name.to_sym, value(name) == '1'] }, **TEXTS.keys.to_h { |name|
          [name.to_sym, value(name)]
        },
          age: value(:age).empty? ? nil : value(:age).to_i, allergies: list(:allergies), help: list(:help)))
      end

      private

      def list(name)
        value(name).split.map(&:to_sym)
      end

      def check
        age = value(:age)
        {
          age: ("Give the age in whole years, from #{N::AGES.begin} to #{N::AGES.end}, or leave it empty." unless age.empty? || (age.match?(/\A\d{1,3}\z/) && N::AGES.cover?(age.to_i))),
          **TEXTS.to_h { |name, most| [name.to_sym, ("Shorten this to #{most} characters." if value(name).length > most)] }
        }.compact
      end
    end
  end
end
