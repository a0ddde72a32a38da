# frozen_string_literal: true

require 'rack'

module Web
  # What a phone may ask: to be let in by the code, and then Live of the one class with what belongs to it. All else stays on this machine.
  class PhoneGate
    COOKIE = 'eager_bench_phone'
    # Tells the pages that a phone asks, and what it is told where it is not in yet.
    PHONE = 'eager_bench.phone'
    SAID = 'eager_bench.phone_said'
    OWN = ['GET live', 'POST live', 'POST live/people', 'GET screen', 'GET home'].freeze
    SAID_OF = {
      wrong: 'That is not the code. It stands on the laptop, on the page Live.',
      locked: 'Too many wrong codes. Wait a minute, then try again.',
      closed: 'Phones are switched off for this class. Switch them on in Live, on the laptop.'
    }.freeze

    # @param app [#call] the whole application @param access [PhoneAccess]
    def initialize(app, access)
      @app = app
      @access = access
    end

    def call(env)
      request = Rack::Request.new(env)
      return pass(env) if App::STATIC.any? { |folder| request.path_info.start_with?(folder) }
      return enter(env, request) if request.path_info == '/join'

      door = @access.door
      return ask_for_code(env, door ? nil : :closed) unless @access.known?(request.cookies[COOKIE])
      return pass(env) if allowed?(request, door.class_id)

      to_live(door)
    end

    private

    def enter(env, request)
      code = request.params['code'].to_s
      return ask_for_code(env, @access.door ? nil : :closed) if code.empty?

      device = @access.enter(code.scrub.delete('^0-9'))
      return ask_for_code(env, device) if device.is_a?(Symbol)

      to_live(@access.door, 'set-cookie' => "#{COOKIE}=#{device}; path=/; httponly; samesite=strict")
    end

    def allowed?(request, class_id)
      OWN.any? do |one|
        verb, place = one.split
        request.request_method == verb && request.path_info == "/classes/#{class_id}/#{place}"
      end
    end

    def to_live(door, headers = {})
      [303, { 'location' => "/classes/#{door.class_id}/live", **headers }, []]
    end

    # @param why [Symbol, nil] a key of SAID_OF
    def ask_for_code(env, why)
      pass(env.merge('REQUEST_METHOD' => 'GET', 'PATH_INFO' => '/join', 'QUERY_STRING' => '', SAID => SAID_OF[why]))
    end

    # As if it were asked on this machine; addresses in the answer stay those of the phone.
    def pass(env)
      own = env['HTTP_HOST'].to_s
      here = env.merge(PHONE => true, 'HTTP_HOST' => '127.0.0.1', 'SERVER_NAME' => '127.0.0.1')
      here['HTTP_ORIGIN'] = 'http://127.0.0.1' if env['HTTP_ORIGIN'] == "http://#{own}"
      status, headers, body = @app.call(here)
      place = headers['location']
      headers['location'] = place.sub(%r{\Ahttps?://[^/]+}, '') if place
      [status, headers, body]
    end
  end
end
