# frozen_string_literal: true

module Web
  # Behind the sign-in of a shared studio: refuses what someone's role may not ask for, and writes down who changed what.
  class RoleGate
    CLASS_ROUTE = %r{\A/classes/(\d{1,15})(?:/|\z)}

    # @param app [#call] the pages
    # @param routes [Hash{String=>Array}] Sinatra's, by verb
    # @param trail [Store::AuditLog]
    # @param at_hand [#call] @return [Array<Integer>] ids of the classes that a helper may reach now
    def initialize(app, routes, trail, at_hand: -> { [] })
      @at_hand = at_hand
      @app = app
      @routes = routes.transform_values { |all| all.map(&:first) }
      @trail = trail
    end

    # @return [String] under which the words for a change stand
    def self.words_of(route)
      "trail.#{route.downcase.gsub(/[^a-z]+/, '_').delete_suffix('_')}"
    end

    # @param env [Hash] with SignedIn::ACCOUNT
    def call(env)
      account = env.fetch(SignedIn::ACCOUNT)
      route = route_of(env)
      return to_live if route == 'GET /' && !Rights.open_to?(account.role, route)
      return refused(env) unless Rights.open_to?(account.role, route) && in_reach?(env, account, route)

      @app.call(env).tap { |status, *| note(env, account, route) if status < 400 && env['REQUEST_METHOD'] == 'POST' }
    end

    # @return [String, nil] the first route that answers to it, found as Sinatra finds it
    def route_of(env)
      verb = env['REQUEST_METHOD'] == 'HEAD' ? 'GET' : env['REQUEST_METHOD']
      path = env['PATH_INFO'].to_s
      path = path.delete_suffix('/') unless path == '/'
      found = @routes.fetch(verb, []).find { |pattern| pattern.match(path.empty? ? '/' : path) }
      found && "#{verb} #{found}"
    end

    private

    # People who may not see plans reach only the class of the evening.
    def in_reach?(env, account, route)
      return true if Rights.allow?(account.role, :look) || !route.include?('/classes/:id')

      @at_hand.call.include?(env['PATH_INFO'][CLASS_ROUTE, 1].to_i)
    end

    def to_live
      [303, { 'location' => '/live' }, []]
    end

    def refused(env)
      here = env.merge('REQUEST_METHOD' => 'GET', 'PATH_INFO' => '/not-allowed', 'QUERY_STRING' => '')
      @app.call(here)
    end

    def note(env, account, route)
      return unless Formats::Wording.words?(RoleGate.words_of(route))

      @trail.note(by: account.name, route: route, class_id: env['PATH_INFO'][CLASS_ROUTE, 1]&.to_i)
    end
  end
end
