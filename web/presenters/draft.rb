# frozen_string_literal: true

module Web
  module Presenters
    # A form that was refused: what was typed, and what is wrong at which field.
    Draft = Core::Value.define(:values, :errors) do
      def value(name)
        values[name.to_s].to_s
      end

      def error(name)
        errors[name.to_sym]
      end
    end
  end
end
