# frozen_string_literal: true

module Web
  module Presenters
    # What came of erasing someone, and the copies of the studio that still hold them.
    class Erased
      include Printing

      # @!attribute name
      #   @return [String] as the list of people shows it
      # @!attribute number
      #   @return [Integer] which of those with this name in one class
      attr_reader :name, :number

      # @param done [Application::Erasure::Done]
      def initialize(name, number, done)
        @name = name
        @number = number
        @done = done
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
        [say('erased.done', name: name, classes: count_of(@done.classes, 'class', 'classes')),
         (say('erased.mentioned', names: @done.mentions.join(', ')) if @done.mentions.any?),
         (say('erased.not_clean') unless @done.clean),
         say(copies.empty? ? 'erased.no_copies' : 'erased.copies', count: count_of(copies.size, 'copy', 'copies'))].compact
      end
    end
  end
end
