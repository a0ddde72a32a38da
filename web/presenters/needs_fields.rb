# frozen_string_literal: true

module Web
  module Presenters
    # What a class must know of someone, as fields: shown with what is saved, or with what was typed and refused.
    class NeedsFields
      LONGEST = 300

      # @param needs [Core::People::Needs] @param draft [Draft, nil]
      def initialize(needs, draft = nil)
        @needs = needs
        @draft = draft
      end

      # @return [Array<(String, String, Boolean)>] value, words, whether it is ticked
      def allergies
        Core::People::Needs::ALLERGIES.map { |name| [name.to_s, Formats::Wording.say("allergies.#{name}"),
          chosen?('allergies', @needs.allergies, name)] }
      end

      def help
        Core::People::Needs::HELP.map { |name| [name.to_s, Formats::Wording.say("help.#{name}"), chosen?('help', @needs.help, name)] }
      end

      # @param name [Symbol] :minor, :left_handed or :low_vision
      def ticked?(name)
        @draft ? @draft.value(name) == '1' : @needs.public_send(name)
      end

      # @param name [Symbol] :age, :guardian or :other_allergy
      def text(name)
        @draft ? @draft.value(name).to_s : @needs.public_send(name).to_s
      end

      def error(name)
        @draft&.error(name)
      end

      private

      def chosen?(field, saved, name)
        @draft ? @draft.value(field).to_s.split.include?(name.to_s) : saved.include?(name)
      end
    end
  end
end
