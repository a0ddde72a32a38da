# frozen_string_literal: true

module Core
  module Catalogue
    # Values that stand in a table under a key: hashed by that key alone, since plans group by them all the time.
    module Keyed
      def hash
        key.hash
      end

      # @return [String] what hands call it: its name up to the first comma or bracket, where kind and size stand
      def short_name
        name.split(/,| \(/).first.to_s.strip
      end
    end
  end
end
