# frozen_string_literal: true

module Web
  module Presenters
    # Does it reach? Asked at the table of any line that is used up little by little.
    class ReachCheck
      include Printing

      PREFIX = 'reach_'

      attr_reader :unit, :question

      def initialize(params, unit)
        @unit = unit
        given = Formats::ReachQuestion::FIELDS.to_h { |name| [name.to_s, params["#{PREFIX}#{name}"]] }
        @question = Formats::ReachQuestion.new(given, unit)
      end

      # A form's fields and errors.
      def value(name)
        question.values.fetch(name.to_s.delete_prefix(PREFIX).to_sym)
      end

      def error(name)
        question.errors[name.to_s.delete_prefix(PREFIX).to_sym]
      end

      def found
        question.found
      end

      def status
        found.status
      end

      def verdict
        question.verdict
      end

      def used
        say('reach_answers.used', used: fine(found.used))
      end
    end
  end
end
