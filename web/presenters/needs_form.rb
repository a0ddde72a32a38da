# frozen_string_literal: true

module Web
  module Presenters
    # What a class must know of someone, as sent.
    class NeedsForm < Form
      N = Core::People::Needs
      FLAGS = %w[minor left_handed low_vision].freeze
      TEXTS = %w[guardian other_allergy].freeze

      def initialize(params)
        super(typed(params, [*FLAGS, *TEXTS, 'age'])
          .merge('allergies' => ticked(params['allergies'], N::ALLERGIES), 'help' => ticked(params['help'], N::HELP)),
          Contracts::NeedsContract.new)
      end

      # @return [Core::People::Attendee]
      def apply(attendee)
        flags = FLAGS.to_h { |name| [name.to_sym, value(name) == '1'] }
        texts = TEXTS.to_h { |name| [name.to_sym, value(name)] }
        attendee.with(needs: N.new(**flags, **texts, age: value(:age).empty? ? nil : value(:age).to_i, allergies: list(:allergies),
          help: list(:help)))
      end

      private

      def ticked(given, known)
        (Array(given).grep(String) & known.map(&:to_s)).join(' ')
      end

      def list(name)
        value(name).split.map(&:to_sym)
      end
    end
  end
end
