# frozen_string_literal: true

module Core
  module Session
    # The random numbers of a simulation: a stream of its own for each person and each thing they do, and the same numbers of it for the same
    # replication, whatever else changes. So two variants of a class meet the same chance (common random numbers; Law, Simulation Modeling and
    # Analysis), and who leaves changes nobody else's luck.
    class Draws
      # For each slot: time, whether and when help is needed, how long help takes. For the person: how they differ from others, whether and how
      # much they come late.
      EACH = 3
      # Replications drawn at once.
      BLOCK = 100
      OWN = 'own'

      # @param model [Model]
      def self.of(model, seed)
        new(seed, model.people.to_h { |person| [person.key, slots(person)] })
      end

      # @return [Array<Object>] what a person's streams are named by, in the order of their numbers; their own come first
      def self.slots(person)
        [OWN, *person.tasks.map(&:slot).uniq]
      end

      # @param streams [Hash{String=>Array<Object>}] by person
      def initialize(seed, streams)
        @seed = seed
        @streams = streams.map { |person, slots| slots.map { |slot| number("#{person}/#{slot}") } }
      end

      # @param replication [Integer]
      # @return [(Array<Array<Array<Integer>>>, Integer)] for each person and slot, numbers from 0 to 65535, and the place of this replication's
      #   first among them
      def at(replication)
        block, place = replication.divmod(BLOCK)
        draw(block) unless @block == block
        [@numbers, place * EACH]
      end

      private

      def draw(block)
        @block = block
        @numbers = @streams.map do |slots|
          slots.map { |slot| Random.new((((@seed * 1_000_003) + block) * 1_000_000_009) + slot).bytes(BLOCK * EACH * 2).unpack('S<*') }
        end
      end

      def number(name)
        name.bytes.reduce(0) { |sum, byte| ((sum * 257) + byte) % 1_000_000_007 }
      end
    end
  end
end
