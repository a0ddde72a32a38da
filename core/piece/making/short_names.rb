# frozen_string_literal: true

module Core
  module Making
    # What the parts and lines of one piece are called in its steps: by kind and size alone where that is clear, with what tells two apart
    # where they share it.
    class ShortNames
      # @param items [Array<Catalogue::Part, Catalogue::Line>] of one piece
      def initialize(items)
        @shared = items.uniq.group_by(&:short_name).values.select { |alike|
 alike.size > 1 }.flatten.to_h { |item| [item, told_in_full(item)] }
      end

      # @param values [Hash{Symbol=>Object}] of a step @return [Hash{Symbol=>Object}] the same object where nothing has to be told apart
      def tell_apart(values)
        return values if @shared.empty? || values.each_value.none? { |value| mixed?(value) }

        values.transform_values { |value| told_apart(value) }
      end

      private

      def mixed?(value)
        case value
        when Array then value.any? { |one| mixed?(one) }
        when FromBag then mixed?(value.parts)
        when Catalogue::Part, Catalogue::Line then @shared.key?(value)
        end
      end

      def told_apart(value)
        case value
        when Array then value.map { |one| told_apart(one) }
        when FromBag then value.with(parts: told_apart(value.parts))
        when Catalogue::Part, Catalogue::Line then @shared.fetch(value, value)
        else value
        end
      end

      # @return [Catalogue::Part, Catalogue::Line] under a name that no other has
      def told_in_full(item)
        rest = item.name.delete_prefix(item.short_name).delete('(),').split
        item.with(name: [*rest, item.short_name].join(' '))
      end
    end
  end
end
