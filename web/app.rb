# frozen_string_literal: true

require 'erubi'
require 'sinatra/base'
require 'tmpdir'

module Web
  # The application: settings and the parts every page shares. The pages are in web/routes.
  class App < Sinatra::Base
    PERMITTED_HOSTS = %w[127.0.0.1 localhost [::1] example.org].freeze
    POLICY = "default-src 'none'; script-src 'self'; style-src 'self'; font-src 'self'; img-src 'self' data:; connect-src 'self'; " \
             "form-action 'self'; base-uri 'none'; frame-ancestors 'none'"

    set :root, __dir__
    set :views, File.join(__dir__, 'views')
    set :static, false
    set :erb, escape_html: true
    set :default_encoding, 'utf-8'
    set :reload_templates, false
    set :show_exceptions, false
    set :raise_errors, false
    set :dump_errors, true
    set :sessions, false
    set :protection, false
    set :host_authorization, { permitted_hosts: PERMITTED_HOSTS }
    set(:studio) { raise 'give the application a studio' }

    helpers Helpers

    before do
      headers 'Content-Security-Policy' => POLICY, 'X-Content-Type-Options' => 'nosniff', 'Referrer-Policy' => 'same-origin'
      cache_control :no_store unless request.path.end_with?('.css', '.js', '.woff2')
    end

    # The token goes in last, so that what is around it can be kept between requests.
    after do
      next unless response.content_type.nil? || response.content_type.start_with?('text/html')

      token = csrf_token
      response.body = response.body.map { |chunk| chunk.include?(Helpers::TOKEN) ? chunk.gsub(Helpers::TOKEN, token) : chunk }
    end

    register Routes::Errors
    register Routes::Bench
    register Routes::Exchange
    register Routes::Sessions
    register Routes::Classes
    register Routes::People
    register Routes::Gauge
    register Routes::Supplies
    register Routes::Stockroom
    register Routes::Measures
    register Routes::Projects
    register Routes::Composer
    register Routes::Settings
    register Routes::Kits
    register Routes::Jobs

    # @param studio [Store::Studio] @param secret [String] signs the cookie, at least 64 bytes
    # @return [#call] the application with its middleware
    # @param folder [String] where the label printer leaves its sheets
    def self.for_studio(studio, secret:, folder: Dir.tmpdir)
      app = Class.new(self) do
        set :studio, studio
        set :fragments, Fragments.new
        set :jobs, Jobs.new
        set :forecasts, Refining.new(24)
        set :project_times, Refining.new(2)
        set :searches, Store::PlanCache.new(24)
        set :label_printer, Standins::LabelPrinter.new(File.join(folder, 'label printer'))
      end
      Rack::Builder.new do
        use Rack::Static, urls: %w[/css /js /vendor /icon.svg], root: Assets::FOLDER, header_rules: [[:all, { 'cache-control' => 'no-cache', 'x-content-type-options' => 'nosniff' }]]
        use BodyLimit
        use Rack::Session::Cookie, key: 'eager_bench', secret: secret, same_site: :strict, httponly: true
        use Rack::Protection::AuthenticityToken, message: 'This page was open too long. Go back, reload it and send again.'
        use Rack::Protection::HttpOrigin
        run app
      end.to_app
    end
  end
end
