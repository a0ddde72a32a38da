# frozen_string_literal: true

module Core
  module Construction
    # All constructions, one per file.
    module Kinds
      extend Family

      kind_of Base, label: :construction

      class << self
        # What tells the techniques of a kind: #call(key) answers the text of the file beside it. The core itself reads none.
        attr_writer :teaching

        # @return [String] empty where a kind brings no technique
        def taught(key)
          @teaching ? @teaching.call(key) : ''
        end
      end

      # @return [Array<Catalogue::Technique>] that constructions bring along
      def self.techniques
        all.flat_map(&:techniques).uniq(&:key)
      end
    end
  end
end
