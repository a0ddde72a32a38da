# frozen_string_literal: true

module Core
  module Project
    # One piece of work in a project.
    #
    # @param construction a key of Construction::Kinds
    # @param parameters plain data, as saved
    # @param hung_at nil on the path, else where it hangs, as a Hanging in text
    # @param apart whether it is made first and then used like a part
    # @param length Measure::Length of what repeats until a length is met. On the path it stays so long while others take the rest, and nil
    #   takes the rest; what hangs or is made apart takes Component::LENGTH where it is nil
    Component = Value.define(:key, :construction, :parameters, hung_at: nil, apart: false, length: nil) do
      # @return [String] the key by which patterns name what is made apart
      def part_key
        "#{Component::MADE}#{key}"
      end

      # @return [Array<String>] keys of the components made apart that its parameters name
      def uses
        Component.strings(parameters).filter_map { |text| text.delete_prefix(Component::MADE) if text.start_with?(Component::MADE) }.uniq
      end

      # @return [Measure::Length] its own, where no wearer gives it one
      def own_length
        length || Component::LENGTH
      end
    end

    class Component
      MADE = 'made:'
      LENGTH = Measure::Length.mm(30)

      def self.strings(data)
        case data
        when Hash then data.values.flat_map { |value| strings(value) }
        when Array then data.flat_map { |value| strings(value) }
        when String then [data]
        else []
        end
      end
    end
  end
end
