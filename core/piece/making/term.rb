# frozen_string_literal: true

module Core
  module Making
    # One line of a working. operation: :start, :plus, :minus, :times, :shared, :part, :equals · length: its amount (nil for :times and
    # :shared) · code: wording key · values: for its wording
    Term = Value.define(:operation, :code, :length, values: {}.freeze)
  end
end
