# frozen_string_literal: true

require 'rack/test'
require_relative 'studio_helper'
EagerBench.load(:standins, :web)

# Requests without a browser.
module Requests
  include Rack::Test::Methods

  SECRET = 'x' * 64

  def studio
    @studio ||= new_studio
  end

  def app
    @app ||= Web::App.for_studio(studio, secret: SECRET, runner: Studios::RUNNER, stages: Studios::STAGES, today: -> { Studios::TODAY })
  end

  # Posts with the token that the page's own forms carry.
  def send_form(path, **fields)
    get '/keys'
    post path, { authenticity_token: last_response.body[/name="authenticity_token" value="([^"]+)"/, 1] }.merge(fields)
  end

  # The page as it is read: where its source breaks a line is of no concern.
  def page
    last_response.body.gsub(/\s*\n\s*/, ' ')
  end

  # Waits until what the pages asked for is worked out.
  def settle(id = 1)
    results = app_settings.results
    app_settings.forecasts.ask(id, results.of(id).model)&.wait(Studios::PATIENCE)
  end

  # @return [#results, #forecasts, #runner] what the application was given
  def app_settings
    app
    @settings ||= ObjectSpace.each_object(Class).find { |klass| klass < Web::App && klass.settings.studio.equal?(studio) }
  end
end

RSpec.configure do |config|
  config.include Requests, type: :request
  config.before(:each, type: :request) { header 'Host', '127.0.0.1' }
end
