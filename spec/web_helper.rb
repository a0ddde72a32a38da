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
    @app ||= Web::App.for_studio(studio, secret: SECRET)
  end

  # Posts with the token that the page's own forms carry.
  def send_form(path, **fields)
    get '/keys'
    post path, { authenticity_token: last_response.body[/name="authenticity_token" value="([^"]+)"/, 1] }.merge(fields)
  end

  def page
    last_response.body
  end
end

RSpec.configure do |config|
  config.include Requests, type: :request
  # Forecasts beside the pages end after fewer runs, so that the specs do not wait for two cores.
  %i[request feature].each { |type| config.before(:each, type: type) { stub_const('Web::Forecasting::STAGES', [60, 200]) } }
end
