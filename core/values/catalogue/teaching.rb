# frozen_string_literal: true

require 'yaml'

module Core
  module Catalogue
    # Techniques as data: under "techniques" by their key, the fields of Technique that differ from what is usual.
    module Teaching
      module_function

      # @param text [String] YAML, empty for none @return [Array<Technique>]
      # @raise [ArgumentError] on a field that a technique does not have
      def parse(text)
        (YAML.safe_load(text) || {}).fetch('techniques', {}).map do |key, fields|
          about = fields.transform_keys(&:to_sym)
          about[:cautions] = about[:cautions].map(&:to_sym) if about[:cautions]
          Technique.new(key: key, **about.transform_values(&:freeze))
        end
      end
    end
  end
end
