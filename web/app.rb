# frozen_string_literal: true

require 'erubi'
require 'sinatra/base'
require 'tmpdir'

module Web
  # The application: settings and the parts every page shares. The pages are in web/routes.
  class App < Sinatra::Base
    PERMITTED_HOSTS = %w[127.0.0.1 localhost [::1]].freeze
    POLICY = "default-src 'none'; script-src 'self'; style-src 'self'; font-src 'self'; img-src 'self' data:; connect-src 'self'; " \
             "form-action 'self'; base-uri 'none'; frame-ancestors 'none'"
    # Browsers that came by HTTPS once come so for a year. (OWASP Cheat Sheet Series: HTTP Strict Transport Security.)
    HSTS = 'max-age=31536000'
    # Rows of lists that are kept drawn, as long as what they show is as it was.
    MOST_DRAWN = 600
    STATIC = %w[/css /js /vendor /icon.svg /live-worker.js].freeze

    set :root, __dir__
    set :views, File.join(__dir__, 'views')
    set :static, false
    set :erb, escape_html: true
    set :default_encoding, 'utf-8'
    set :reload_templates, false
    set :show_exceptions, false
    set :raise_errors, false
    # What was typed stands in messages and traces of libraries: only the kind of an error is written down, by Routes::Errors.
    set :dump_errors, false
    set :logging, false
    set :sessions, false
    set :protection, false
    set :host_authorization, { permitted_hosts: PERMITTED_HOSTS }
    set(:studio) { raise 'give the application a studio' }

    helpers Helpers, Sections

    before do
      CleanParams.clean(params)
      headers 'Strict-Transport-Security' => HSTS if settings.sharing&.https
      headers 'Content-Security-Policy' => POLICY, 'X-Content-Type-Options' => 'nosniff', 'Referrer-Policy' => 'same-origin'
      cache_control :no_store
    end

    after do
      only_look = account && !may?(:live) && [nil, 'text/html'].include?(response.media_type)
      response.body = LookOnly.call(response.body.to_enum.to_a.join) if only_look
    end

    # Told with its length it is sent as it is; else the server would copy each part of it.
    after { headers 'Content-Length' => response.body.bytesize.to_s if response.body.is_a?(PageBody) }

    # Looked through in this order: what is asked for most comes first.
    register Routes::Errors
    register Routes::Classes
    register Routes::Home
    register Routes::Exchange
    register Routes::Sessions
    register Routes::Prints
    register Routes::Kits
    register Routes::ProjectComparison
    register Routes::Courses
    register Routes::Live
    register Routes::Phones
    register Routes::Accounts
    register Routes::Register
    register Routes::People
    register Routes::FitCheck
    register Routes::Supplies
    register Routes::Learning
    register Routes::Stockroom
    register Routes::Measures
    register Routes::Reaches
    register Routes::Swatches
    register Routes::Projects
    register Routes::Variants
    register Routes::Invitations
    register Routes::Samples
    register Routes::Composer
    register Routes::Settings
    register Routes::StudioExchange
    register Routes::Backups
    register Routes::Jobs

    # @param studio [Store::Studio] @param secret [String] signs the cookie, at least 64 bytes
    # @param folder [String] where the label printer leaves its sheets @param runner [Application::Work::Runner] does what is done beside
    #   the pages
    # @param stages [Array<Integer>, nil] see Application::Forecasts @param today [#call] @return [Date]
    # @param log [Boolean] whether requests are noted in the folder @param sharing [Sharing, nil] nil: one person, on this machine
    # @param restorer [#call, nil] puts a copy in the place of the studio, see Server; nil where that cannot be done from here
    # @param prepared [Boolean] whether what the first page needs is worked out before it is asked for
    # @return [#call] the application with its middleware
    def self.for_studio(studio, secret:, runner:, folder: Dir.tmpdir, stages: nil, today: -> { Date.today }, log: false,
                        sharing: nil, restorer: nil, prepared: false)
      app = serving(studio, runner, folder, stages, today)
      share(app, studio, secret, folder, sharing)
      app.set :restorer, -> { restorer }
      work_ahead(app, today) if prepared
      whole = Rack::Builder.new do
        use Rack::Static, urls: STATIC, root: Assets::FOLDER,
          header_rules: [[:all, { 'cache-control' => 'no-cache', 'x-content-type-options' => 'nosniff' }]]
        use RequestLog, (folder if log)
        use Rack::Session::Cookie, key: SignedIn::COOKIE, secret: secret, same_site: :strict, httponly: true, secure: sharing&.https
        use RequestLimits, bodies: RequestLimits::Bodies.of(sharing, secret)
        use Rack::Protection::HostAuthorization, permitted_hosts: app.permitted_hosts, logging: false if sharing
        use SignInLimits.middleware if sharing
        use Rack::Protection::AuthenticityToken, message: 'This page was open too long. Go back, reload it and send again.'
        use Rack::Protection::HttpOrigin
        run sharing ? app.sign_in.value : app
      end.to_app
      app.set(:whole, -> { whole })
      whole
    end

    # The first pages go before what they can do without.
    AHEAD_SECONDS = 3

    # What the first page needs is worked out before it is asked for, how long projects take a little later.
    def self.work_ahead(app, today)
      app.results.prepare
      Thread.new do
        sleep AHEAD_SECONDS
        app.project_times.ask(app.results.now.library, today.call)
      rescue StandardError
        # The projects page asks again.
        nil
      end
    end

    def self.serving(studio, runner, folder, stages, today)
      forecasts = Application::Forecasts.new(runner, studio.result_cache, stages: stages)
      searches = Application::Searches.new(runner)
      results = Application::Results.new(studio, forecasts, searches, today: today)
      Class.new(self) do
        set :studio, studio
        set :runner, runner
        set :folder, folder
        set :forecasts, forecasts
        set :searches, searches
        set :results, results
        set :lessons, Application::Lessons.new(studio, runner, results)
        set :practice, Application::Practice.new(studio)
        set :phones, PhoneAccess.new
        set :live_forecasts, Application::LiveForecasts.new(runner)
        set :comparisons, comparisons = Application::Comparisons.new(studio, runner, results)
        set :courses, Application::Courses.new(studio, runner, results, comparisons)
        set :kits, Application::KitStock.new(studio, results)
        set :project_times, Application::ProjectTimes.new(runner, studio.result_cache)
        set :drawn, Core::LruCache.new(MOST_DRAWN)
        set :people, Application::People.new(studio)
        set :fragments, Fragments.new
        sheets = KeptFolder.new(File.join(folder, 'label printer'), most: Standins::LabelPrinter::MOST)
        set :label_printer_sheets, sheets
        set :label_printer, Standins::LabelPrinter.new(sheets)
      end
    end

    # Behind a door with accounts, or for the one person at this machine.
    def self.share(app, studio, secret, folder, sharing)
      hosts = PERMITTED_HOSTS + (sharing ? sharing.hosts : [])
      app.set :sharing, sharing
      app.set :permitted_hosts, hosts
      app.set :host_authorization, { permitted_hosts: hosts }
      # Built when it is needed: most studios never write an invitation.
      sign_in = Core::Lazy.new do
        gate = RoleGate.new(app, App.routes, studio.audit_log, at_hand: -> { app.results.now.at_hand.map(&:id) })
        SignIn.new(gate, app, studio, secret: secret, mailbox: SignIn.mailbox(folder))
      end
      app.set :sign_in, sign_in
    end
    private_class_method :serving, :share, :work_ahead
  end
end
