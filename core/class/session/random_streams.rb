# frozen_string_literal: true

require 'digest'
require 'openssl'

module Core
  module Session
    # The random numbers of a simulation: a stream of its own for each person and each thing they do, and the same numbers of it for the
    # same replication, also when other things change. So two variants of a class meet the same chance (common random numbers; Law,
    # Simulation Modeling and Analysis), and who leaves changes nobody else's luck. The numbers come from a counter run through a cipher, so
    # that any stream is had at once (Salmon, Moraes, Dror and Shaw, Parallel random numbers: as easy as 1, 2, 3, SC 2011).
    class RandomStreams
      # For each slot: time, whether and when help is needed, how long help takes. For the person: how they differ from others, whether
      # and how much they come late.
      EACH = 3
      # Replications drawn at once.
      BLOCK = 100
      OWN = 'own'
      # What all of a run share comes after the people.
      EVENING = 'evening'
      # A number is two bytes, the lower first. They stay bytes until one is needed: all of a class then lie close together.
      BYTES = 2
      # Where each number of a replication begins.
      PLACES = Array.new(EACH) { |number| number * BYTES }.freeze
      BLANK = ("\0" * (BLOCK * EACH * BYTES)).freeze

      # @param model [Model] @param drawn [LruCache, nil] what models of the same seed share that are run on the same replications
      def self.of(model, seed, drawn: nil)
        new(seed, { **model.people.to_h { |person| [person.key, slots(person)] }, EVENING => [OWN] }, drawn: drawn)
      end

      # @return [Array<Object>] what a person's streams are named by, in the order of their numbers; their own come first
      def self.slots(person)
        [OWN, *person.tasks.map(&:slot).uniq]
      end

      # @param streams [Hash{String=>Array<Object>}] by person @param drawn [LruCache, nil] see .of
      def initialize(seed, streams, drawn: nil)
        @drawn = drawn
        @cipher = OpenSSL::Cipher.new('aes-128-ctr').encrypt
        @cipher.key = Digest::MD5.digest(seed.to_s)
        @streams = streams.map { |person, slots| slots.map { |slot| Digest::MD5.digest("#{person}/#{slot}")[0, 8] } }
      end

      # @param replication [Integer]
      # @return [(Array<Array<String>>, Integer)] for each person and slot, its bytes, and where this replication's begin in each
      def at(replication)
        block, place = replication.divmod(BLOCK)
        draw(block) unless @block == block
        [@bytes, place * EACH * BYTES]
      end

      private

      def draw(block)
        @block = block
        @bytes = @streams.map do |slots|
          slots.map do |stream|
            counter = stream + [block << 32].pack('Q>')
            @drawn ? @drawn.fetch(counter) { bytes(counter) } : bytes(counter)
          end
        end
      end

      # @param counter [String] 16 bytes, where the stream begins
      def bytes(counter)
        @cipher.iv = counter
        @cipher.update(BLANK)
      end
    end
  end
end
