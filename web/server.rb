# frozen_string_literal: true

require 'fileutils'
require 'puma'
require 'rackup'
require 'puma/minissl'

module Web
  # Opens a data folder and serves the application until it is told to stop: on the loopback address, or shared in a network.
  class Server
    # The studio cannot be served. Nothing was changed.
    class CannotStart < StandardError; end

    HOST = '127.0.0.1'
    THREADS = 5
    # Requests under way are given so long at the end.
    STOP_SECONDS = 5
    LOOK_SECONDS = 3600
    OWNER_ONLY = 0o700

    # @param data [String] folder, made when missing @param demo [Boolean] whether a new studio gets the demo's classes
    # @param sharing [Sharing, nil] nil: for one person, on this machine
    def initialize(data:, port:, demo: true, sharing: nil, output: $stdout)
      @data = data
      @port = port
      @demo = demo
      @sharing = sharing
      @output = output
    end

    # Returns after Ctrl-C or a termination signal.
    def run
      folder
      lock
      Store::WholeFile.sweep(@data)
      server = HttpServer.new(->(env) { @app.call(env) }, most_bytes: RequestLimits::Bodies.of(@sharing, Secret.of(@data)),
        min_threads: THREADS, max_threads: THREADS, force_shutdown_after: STOP_SECONDS)
      @port = listen(server)
      serve(server)
    rescue Errno::EADDRINUSE
      abort "Port #{@port} is taken. Stop what runs there, or choose another: bin/start --port #{@port + 1}"
    rescue CannotStart, Store::UnusableDatabase => e
      abort e.message
    end

    private

    # The port is taken first, so that nothing is written where it cannot be served.
    def serve(server)
      Zeitwerk::Loader.eager_load_all
      swap = AppSwitcher.new(nil)
      @restorer = Restorer.new(backups, swap, close: method(:close_studio), open: method(:open_app))
      swap.exchange { open_app }
      @app = swap
      server.run
      look_after
      note_address
      @output.puts "Eager Bench is at #{address}  (stop with Ctrl-C)"
      warn_readable
      @output.flush
      wait
      server.stop(true)
      close_studio
      @output.puts 'Stopped.'
    end

    # @return [#call] the application on the studio that lies in the folder
    def open_app
      @studio = open_studio
      needs_owner
      @runner = Application::Work::Runner.new
      App.for_studio(@studio, secret: Secret.of(@data), folder: @data, runner: @runner, log: true, sharing: @sharing,
        restorer: @restorer, prepared: true)
    end

    def close_studio
      @runner.close
      @studio.result_cache.settle
      @studio.close
    end

    def backups
      Store::Backups.new(File.join(@data, 'studio.sqlite3'), keep: @studio ? @studio.settings.copies_kept : Store::Backups::KEEP)
    end

    # A copy a day, looked after each hour; what keeps it from being taken stands on the page of safe keeping.
    # Names go when their time has come.
    def look_after
      Thread.new do
        loop do
          backups.take(:daily) if backups.due?
          Application::Retention.call(@studio, Date.today)
          sleep LOOK_SECONDS
        rescue StandardError => e
          # The next look may go well; none must end them all.
          @output.puts e.is_a?(Store::UnusableDatabase) ? e.message : "Looking after the studio failed: #{e.class}"
          sleep LOOK_SECONDS
        end
      end
    end

    def address
      @sharing ? @sharing.url(@port) : "http://#{HOST}:#{@port}"
    end

    def listen(server)
      return server.add_tcp_listener(@sharing&.address || HOST, @port).addr[1] unless @sharing&.certificate

      server.add_ssl_listener(@sharing.address, @port, certificate).addr[1]
    rescue SocketError, Errno::EADDRNOTAVAIL
      raise CannotStart, "#{@sharing.address} is no address of this machine. Give one with --address, or leave it out for all."
    rescue Puma::MiniSSL::SSLError, ArgumentError => e
      raise CannotStart, "The certificate cannot be used: #{e.message}. Give a PEM file with --certificate and its key with --key."
    end

    def certificate
      unless Puma.ssl?
        raise CannotStart, 'This machine lacks what HTTPS needs. Run: apt-get install libssl-dev; rm -r vendor/bundle. Then start again, ' \
                           'or put a proxy in front.'
      end

      Puma::MiniSSL::Context.new.tap do |context|
        context.cert = @sharing.certificate
        context.key = @sharing.key
      end
    end

    def needs_owner
      return if @sharing.nil? || @studio.accounts.owner?

      @studio.close
      raise CannotStart, 'A shared studio needs an owner. Run: bin/eager-bench account add you@example.org --name "Your name" ' \
                         "--role owner --data #{@data}\nIt prints a link to set the password, once the studio is started."
    end

    def warn_readable
      return unless @sharing&.readable?

      @output.puts 'Passwords and people cross the network readable. Give --certificate and --key, or put a proxy in front: docs/shared.md'
    end

    def folder
      FileUtils.mkdir_p(@data, mode: OWNER_ONLY)
      File.chmod(OWNER_ONLY, @data) if File.owned?(@data)
      return if File.writable?(@data)

      raise CannotStart, "The folder #{@data} cannot be written. Give yourself the right to write there, or choose another with --data."
    rescue Errno::EEXIST, Errno::ENOTDIR
      raise CannotStart, "#{@data} is a file. Choose a folder with --data."
    rescue SystemCallError => e
      raise CannotStart, "The folder #{@data} cannot be used: #{e.message.sub(/ @ .*/, '')}. Choose another with --data."
    end

    # Two servers on one folder would not know of each other's changes. The lock goes with the process that holds it.
    def lock
      @lock = File.open(File.join(@data, 'server.lock'), File::RDWR | File::CREAT, 0o600)
      return if @lock.flock(File::LOCK_EX | File::LOCK_NB)

      held = @lock.read.strip
      raise CannotStart,
        "This folder is being served already#{" at #{held}" unless held.empty?}. Use that, or choose another folder with --data."
    rescue SystemCallError => e
      raise CannotStart, "The folder #{@data} cannot be used: #{e.message.sub(/ @ .*/, '')}. Choose another with --data."
    end

    # Other commands find the address in the lock. A full disk must not keep the studio from being served.
    def note_address
      @lock.rewind
      @lock.truncate(0)
      @lock.write(address)
      @lock.flush
    rescue SystemCallError
      nil
    end

    # The first filling is one transaction: begun and not ended, it is begun again.
    def open_studio
      path = File.join(@data, 'studio.sqlite3')
      began = "#{path}.began"
      fresh = !File.exist?(began)
      studio = Store::Studio.new(path) { say('This studio was made by an older version. It is copied, then brought up to date ...') }
      fill(studio) if studio.projects.none?
      Demo::Shipping.new(studio).call
      File.open(began, File::CREAT, Store::Database::OWNER_ONLY) {} if fresh
      studio
    end

    def say(words)
      @output.puts words
      @output.flush
    end

    def fill(studio)
      studio.write do
        Demo::Loading.library(studio)
        Demo::Loading.classes(studio) if @demo
      end
      @output.puts @demo ? 'A new studio with the demo classes is ready.' : 'A new, empty studio is ready.'
    end

    def wait
      reader, writer = IO.pipe
      %w[INT TERM].each { |signal| trap(signal) { writer.write('.') } }
      reader.read(1)
    end
  end
end
