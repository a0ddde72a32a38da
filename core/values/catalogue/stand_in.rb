# frozen_string_literal: true

module Core
  module Catalogue
    # Another tool that does for a technique what its own would: for a class that has too few of them.
    #
    # @param tool tool keys
    # @param by see tool
    # @param pace how much longer it takes, 1 for no longer
    # @param words what to mind with it
    StandIn = Value.define(:tool, :by, :pace, :words)

    class StandIn
      # The slowest that is still of use.
      PACES = (0.5..10).freeze
      KEY = '[a-z0-9][a-z0-9_-]{0,59}'
      WRITTEN = /\A(?<tool>#{KEY}) > (?<by>#{KEY})(?: [x×] ?(?<pace>\d{1,2}(?:\.\d{1,2})?))?(?:: ?(?<words>.*))?\z/

      # @param line [String] such as "crimping_pliers > flat_pliers x 1.2: Turn the cover as you close it." @return [StandIn, nil] nil where
      #   it does not read
      def self.read(line)
        found = WRITTEN.match(line.strip) or return
        pace = (found[:pace] || 1).to_f
        new(tool: found[:tool], by: found[:by], pace: pace, words: found[:words].to_s) if PACES.cover?(pace)
      end
    end
  end
end
