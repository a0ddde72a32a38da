# frozen_string_literal: true

module Formats
  # A file that cannot be read. errors: [Place], at least one
  class BadDocument < Core::Error
    # @param pointer JSON Pointer (RFC 6901) of the place
    # @param expected what belongs there
    # @param found what stands there, shortened
    Place = Core::Value.define(:pointer, :expected, found: nil) do
      def to_s
        [pointer.empty? ? '(whole file)' : pointer, "expected #{expected}", found && "found #{found}"].compact.join(': ')
      end
    end

    attr_reader :errors

    def initialize(errors)
      @errors = errors
      super(errors.join("\n"))
    end

    def self.at(pointer, expected, found = nil)
      new([Place.new(pointer: pointer, expected: expected, found: found)])
    end
  end
end
