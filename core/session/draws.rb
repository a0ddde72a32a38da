# frozen_string_literal: true

module Core
  module Session
    # The random numbers of a simulation: a stream of its own for each person, and the same numbers of it for the same replication, whatever
    # else changes. So two variants of a class meet the same chance (common random numbers; Law, Simulation Modeling and Analysis).
    class Draws
      # For each slot: time, whether and when help is needed, how long help takes.
      EACH = 3
      # Beside the slots: how this person differs from others, whether and how much they come late.
      OWN = 3
      # Replications that share one seed: a simulation can begin at any of these.
      BLOCK = 50

      # @param people [Array<String>] their keys: whoever comes or goes, nobody else's numbers change @param slots [Integer] of each person
      def initialize(seed, people, slots)
        @seed = seed
        @people = people.map { |key| key.bytes.reduce(0) { |sum, byte| ((sum * 257) + byte) % 1_000_000_007 } }
        @numbers = (slots * EACH) + OWN
        @format = 'S<*'
      end

      # @param replication [Integer]
      # @return [Array<Array<Integer>>] for each person, numbers from 0 to 65535; OWN first, then EACH a slot
      def at(replication)
        block, place = replication.divmod(BLOCK)
        unless @block == block && @place == place
          @streams = @people.map { |person| Random.new((((@seed * 1_000_003) + block) * 1_000_000_009) + person) }
          place.times { @streams.each { |stream| stream.bytes(@numbers * 2) } }
        end
        @block, @place = place == BLOCK - 1 ? [nil, nil] : [block, place + 1]
        @streams.map { |stream| stream.bytes(@numbers * 2).unpack(@format) }
      end
    end
  end
end
