# frozen_string_literal: true

require 'fileutils'
require 'puma'
require 'puma/events'
require 'rackup'
require 'securerandom'

module Web
  # Opens a data folder and serves the application on the loopback address until it is told to stop.
  class Server
    HOST = '127.0.0.1'
    THREADS = 5

    # @param data [String] folder, made when missing @param demo [Boolean] whether a new studio gets the demo's classes
    def initialize(data:, port:, demo: true, output: $stdout)
      @data = data
      @port = port
      @demo = demo
      @output = output
    end

    # Returns after Ctrl-C or a termination signal.
    def run
      Zeitwerk::Loader.eager_load_all
      app = App.for_studio(studio, secret: secret, folder: @data)
      server = Puma::Server.new(app, nil, min_threads: THREADS, max_threads: THREADS)
      @port = server.add_tcp_listener(HOST, @port).addr[1]
      server.run
      @output.puts "Eager Bench is at http://#{HOST}:#{@port}  (stop with Ctrl-C)"
      @output.flush
      wait
      server.stop(true)
      @output.puts 'Stopped.'
    rescue Errno::EADDRINUSE
      abort "Port #{@port} is taken. Stop what runs there, or choose another: bin/start --port #{@port + 1}"
    end

    private

    def studio
      FileUtils.mkdir_p(@data)
      studio = Store::Studio.new(File.join(@data, 'studio.sqlite3'))
      return studio if studio.projects.newest.any?

      Demo::Loading.library(studio)
      Demo::Loading.classes(studio) if @demo
      @output.puts @demo ? 'A new studio with the demo classes is ready.' : 'A new, empty studio is ready.'
      studio
    end

    def secret
      file = File.join(@data, 'secret')
      File.write(file, SecureRandom.hex(64), perm: 0o600) unless File.exist?(file)
      File.read(file)
    end

    def wait
      reader, writer = IO.pipe
      %w[INT TERM].each { |signal| trap(signal) { writer.write('.') } }
      reader.read(1)
    end
  end
end
