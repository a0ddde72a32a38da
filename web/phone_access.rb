# frozen_string_literal: true

require 'puma'
require 'securerandom'
require 'socket'

module Web
  # Lets phones on the same network into Live of one class, by a code. Off until it is switched on, and again after the evening. What may be
  # asked through it is PhoneGate's business.
  class PhoneAccess
    # An open door. address: where the phones go, without the code
    Door = Core::Value.define(:class_id, :code, :address) do
      # @return [String] the address with the code in it
      def link
        "#{address}/join?code=#{code}"
      end
    end

    # The machine is in no network.
    class NoNetwork < StandardError; end

    EVERYWHERE = '0.0.0.0'
    # Taken where it is free, so that a firewall need be opened once only.
    PORT = 9394
    THREADS = 3
    CODES = 1_000_000
    EVENING_SECONDS = 12 * 3600
    # Wrong codes, from any phone, that lock the door, and for how long (OWASP Authentication Cheat Sheet: account lockout).
    MOST_WRONG = 5
    LOCK_SECONDS = 60

    # @param clock [#call] @return [Numeric] seconds
    # @param network [#call] @return [String, nil] the machine's address in its network
    def initialize(clock: -> { Process.clock_gettime(Process::CLOCK_MONOTONIC) }, network: PhoneAccess.method(:own_address))
      @clock = clock
      @network = network
      @lock = Mutex.new
    end

    # @return [String, nil]
    def self.own_address
      Socket.ip_address_list.find { |one| one.ipv4? && !one.ipv4_loopback? && !one.ipv4_multicast? }&.ip_address
    end

    # @param app [#call] the whole application @return [Door] @raise [NoNetwork]
    def open(class_id, app)
      host = @network.call or raise NoNetwork
      close
      server = HttpServer.new(RequestLimits.new(PhoneGate.new(app, self)), most_bytes: RequestLimits::Bodies.new(trusted: ->(_) { false }),
        min_threads: 0, max_threads: THREADS)
      port = listen(server)
      server.run
      @lock.synchronize do
        @server = server
        @closes_at = @clock.call + EVENING_SECONDS
        @devices = []
        @wrong = 0
        @locked_until = nil
        @door = Door.new(class_id: class_id, code: format('%06d', SecureRandom.random_number(CODES)), address: "http://#{host}:#{port}")
      end
    end

    def close
      server = @lock.synchronize do
        @door = nil
        @devices = []
        @server.tap { @server = nil }
      end
      server&.stop
    end

    # @return [Door, nil]
    def door
      close if @closes_at && @clock.call >= @closes_at
      @door
    end

    # @return [Integer] phones that were let in
    def devices
      @devices.to_a.size
    end

    # @return [String, Symbol] a key for the phone to show from now on; :wrong, :locked or :closed
    def enter(code)
      open = door or return :closed
      @lock.synchronize do
        next :locked if @locked_until && @clock.call < @locked_until
        next wrong unless Rack::Utils.secure_compare(open.code, code)

        @wrong = 0
        SecureRandom.hex(24).tap { |device| @devices << device }
      end
    end

    # @return [Boolean] whether a phone that shows this key was let in
    def known?(device)
      !device.nil? && !door.nil? && @devices.any? { |one| Rack::Utils.secure_compare(one, device) }
    end

    private

    def listen(server)
      server.add_tcp_listener(EVERYWHERE, PORT).addr[1]
    rescue Errno::EADDRINUSE
      server.add_tcp_listener(EVERYWHERE, 0).addr[1]
    end

    def wrong
      @wrong += 1
      return :wrong if @wrong < MOST_WRONG

      @wrong = 0
      @locked_until = @clock.call + LOCK_SECONDS
      :locked
    end
  end
end
