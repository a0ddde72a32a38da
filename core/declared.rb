# frozen_string_literal: true

module Core
  # For classes that give themselves a name in their head, such as `key :stretch`, and answer it ever after.
  module Declared
    # @param attribute [Symbol] what the name is called
    def declares(attribute)
      define_singleton_method(attribute) do |name = nil|
        name ? instance_variable_set(:"@#{attribute}", name) : instance_variable_get(:"@#{attribute}")
      end
    end
  end
end
