# frozen_string_literal: true

module Core
  # Numbers or lengths that differ from person to person. least, most: both inclusive
  FromTo = Value.define(:least, :most)

  class FromTo
    # @param values [Array<Comparable, Object>]
    # @return [FromTo, Object] the value where all are alike, or where they cannot be put in order
    def self.of(values)
      alike = values.uniq
      return alike.first if alike.size == 1 || alike.map(&:class).uniq.size > 1 || !alike.first.is_a?(Comparable)

      new(least: alike.min, most: alike.max)
    end
  end
end
