# frozen_string_literal: true

require 'rack/attack'

module Web
  # Refuses one address that tries passwords or asks for letters without end, for any accounts; Rodauth locks the account.
  module SignInLimits
    # In so many seconds.
    PERIOD = 60
    MOST = 30
    # A family answers from one address.
    MOST_ANSWERS = 12
    OWN = %w[127.0.0.1 ::1].freeze
    PATHS = %w[/sign-in /forgotten-password /new-password /change-password].freeze

    # Counts in memory, for as long as they matter.
    class Counts
      def initialize
        @counts = {}
        @lock = Mutex.new
      end

      def read(key)
        @lock.synchronize { live(key)&.first }
      end

      def write(key, value, expires_in:)
        @lock.synchronize { @counts[key] = [value, now + expires_in] }
      end

      def increment(key, amount, expires_in:)
        @lock.synchronize do
          @counts.delete_if { |_, (_, ends)| ends <= now } unless live(key)
          count, ends = live(key) || [0, now + expires_in]
          @counts[key] = [count + amount, ends]
          count + amount
        end
      end

      def clear
        @lock.synchronize { @counts.clear }
      end

      private

      def live(key)
        found = @counts[key]
        found if found && found.last > now
      end

      def now
        Process.clock_gettime(Process::CLOCK_MONOTONIC)
      end
    end

    COUNTS = Counts.new

    # What a proxy on this machine says of whom it asks for is believed; of anyone else it would be easy to change.
    def self.address_of(request)
      own = request.get_header('REMOTE_ADDR').to_s
      OWN.include?(own) ? request.ip : own
    end

    # @return [Class] the middleware
    def self.middleware
      Rack::Attack.cache.store = COUNTS
      Rack::Attack.throttle('sign-in', limit: MOST, period: PERIOD) do |request|
        address_of(request) if request.post? && PATHS.include?(request.path)
      end
      Rack::Attack.throttle('answers', limit: MOST_ANSWERS, period: PERIOD) do |request|
        address_of(request) if request.post? && Guests.asks?(request.env)
      end
      Rack::Attack.throttled_responder = lambda { |_|
        [429, { 'content-type' => 'text/plain; charset=utf-8' }, ["#{Formats::Wording.say('accounts.too_many')}\n"]]
      }
      Rack::Attack
    end
  end
end
