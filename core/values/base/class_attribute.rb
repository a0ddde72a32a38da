# frozen_string_literal: true

module Core
  # For classes that give themselves a name in their head, such as `key :stretch`, and answer it ever after.
  module ClassAttribute
    # @param attribute [Symbol] what the name is called
    def declares(attribute)
      variable = :"@#{attribute}"
      define_singleton_method(attribute) { |name = nil| name ? instance_variable_set(variable, name) : instance_variable_get(variable) }
    end
  end
end
