# frozen_string_literal: true

module Core
  module Construction
    # All constructions, one per file.
    module Kinds
      extend Family

      kind_of Base, label: :construction

      # @return [Array<Catalogue::Technique>] that constructions bring along
      def self.techniques
        all.flat_map(&:techniques).uniq(&:key)
      end
    end
  end
end
