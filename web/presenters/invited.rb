# frozen_string_literal: true

module Web
  module Presenters
    # The page of someone who was invited: questions, and their answer as typed.
    class Invited < Form
      include Printing

      FIELDS = %w[name measure mail age other_allergy note consent].freeze

      attr_reader :invitation, :questions, :unit

      # @param invitation [Store::Invitations::Invitation] @param questions [Questions]
      def initialize(invitation, questions, params, unit, asked: false)
        @invitation = invitation
        @questions = questions
        @unit = unit
        @params = params
        super(typed(params, FIELDS), Contracts::AnswerContract.new(body: questions.body))
        @errors = {} unless asked
      end

      # @return [Array<String>] what was ticked, of those that there are
      def ticked(name, known)
        given = @params[name]
        given.is_a?(Array) ? known.map(&:to_s) & given.grep(String) : []
      end

      # @return [String] :never, :some or :often of a technique
      def done(technique)
        given = @params['done']
        found = given.is_a?(Hash) && given[technique.key]
        Core::People::Answer::TIMES.keys.map(&:to_s).include?(found) ? found : 'never'
      end

      # @return [String] of those that there are, '' for as designed
      def colourway
        given = @params['colourway']
        questions.design.colourways.key?(given) ? given : ''
      end

      # @return [Core::People::Answer]
      def answer
        Core::People::Answer.new(name: value(:name), measure: measure, written: value(:measure), needs: needs,
          done: questions.asked.to_h { |one| [one.key, done(one).to_sym] }, colourway: (colourway unless colourway.empty?),
          brings: ticked('brings', questions.tools.map(&:key)), note: value(:note), mail: value(:mail))
      end

      private

      def measure
        Formats::MeasureText.read(value(:measure), questions.body).length if questions.body && !value(:measure).empty?
      end

      def needs
        flags = ticked('flags', questions.flags).map(&:to_sym)
        age = value(:age).empty? ? nil : value(:age).to_i
        Core::People::Needs.new(age: age, left_handed: flags.include?(:left_handed), low_vision: flags.include?(:low_vision),
          allergies: ticked('allergies', questions.allergies).map(&:to_sym), other_allergy: value(:other_allergy),
          help: Core::People::Needs::HELP & flags)
      end
    end
  end
end
