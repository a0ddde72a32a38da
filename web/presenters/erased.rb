# frozen_string_literal: true

module Web
  module Presenters
    # What came of erasing someone, and the copies of the studio that still hold them.
    class Erased
      include Printing

      # @!attribute name
      #   @return [String] the person's own
      # @!attribute number
      #   @return [Integer] which of those with this name in one class
      attr_reader :name, :number

      # @param shown [String] the name as the list of people shows it
      # @param name [String] the person's own
      # @param done [Application::Erasure::Done]
      # @param none_chosen [Boolean] whether the form was sent without a copy
      def initialize(shown, name, number, done, none_chosen: false)
        @shown = shown
        @name = name
        @number = number
        @done = done
        @none_chosen = none_chosen
      end

      # @return [String, nil] what is missing in the form
      def problem
        say('erased.choose') if @none_chosen
      end

      def unit
        :mm
      end

      # @return [Array<String>] file names of copies
      def copies
        @done.copies
      end

      # @return [Array<String>] sentences
      def sentences
        [(@done.classes.zero? ? say('erased.nobody', name: @shown) : done),
         (say('erased.mentioned', names: @done.mentions.join(', ')) if @done.mentions.any?),
         (say('erased.not_clean') unless @done.clean),
         say(copies.empty? ? 'erased.no_copies' : 'erased.copies', count: copies.size)].compact
      end

      private

      def done
        say('erased.done', name: @shown, classes: count_of(@done.classes, 'class', 'classes'))
      end
    end
  end
end
