# frozen_string_literal: true

module Core
  module Catalogue
    # Values that stand in a table under a key: hashed by that key alone, since plans group by them all the time.
    module Keyed
      def hash
        key.hash
      end
    end
  end
end
