# frozen_string_literal: true

require 'bcrypt'
require 'roda'
require 'rodauth'
require 'sequel'
require 'uri'

module Web
  # The door of a shared studio: lets in people with an account, by Rodauth; passwords are kept as bcrypt hashes. Its forms are pages of
  # the application, which is asked for them. (OWASP Cheat Sheet Series: Authentication, Session Management, Forgot Password.)
  class SignIn
    SHORTEST_PASSWORD = 12
    IDLE_SECONDS = 12 * 3600
    FORGOTTEN = '/forgotten-password'
    # Longer than a letter takes to write.
    FORGOTTEN_SECONDS = 1.0

    # @param folder [String] the studio's
    # @return [KeptFolder] of the letters that wait to be sent
    def self.letters(folder)
      KeptFolder.new(File.join(folder, 'outgoing mail'), most: Standins::Mailbox::MOST)
    end

    # @param folder [String] the studio's
    # @return [Standins::Mailbox]
    def self.mailbox(folder)
      Standins::Mailbox.new(letters(folder))
    end

    # @param app [#call] what is behind the door @param pages [#call] where the forms are
    # @param secret [String] signs what stands in links and cookies @param mailbox [Standins::Mailbox]
    def initialize(app, pages, studio, secret:, mailbox:)
      @pages = pages
      @accounts = studio.accounts
      @roda = door(app, studio, secret, mailbox)
    end

    # A phone was let in by its code, for Live of one class alone: see PhoneGate.
    def call(env)
      return @pages.call(env) if env[PhoneGate::PHONE]
      # As nobody, also for who is signed in: the page shows the same to all.
      return @pages.call(env.except(SignedIn::ACCOUNT)) if Guests.asks?(env)

      forgotten?(env) ? in_even_time { @roda.call(env) } : @roda.call(env)
    rescue Sequel::Error
      [503, { 'content-type' => 'text/plain; charset=utf-8' }, ["#{Formats::Wording.say('accounts.not_now')}\n"]]
    end

    # Writes someone a letter with a link to set a password; links sent before hold no longer.
    # @param account [Store::Accounts::Account] @param address [String] of the studio, such as "https://studio.example:9410"
    # @return [String] the link
    def invite(account, address)
      @accounts.forget_link(account.id)
      at = URI(address)
      env = { 'HTTP_HOST' => "#{at.host}:#{at.port}", 'SERVER_NAME' => at.host, 'SERVER_PORT' => at.port.to_s,
              'rack.url_scheme' => at.scheme, LINK => [] }
      @roda.rodauth.reset_password_request(login: account.login, env: env)
      env[LINK].first
    end

    # Where the link of a letter just written is put.
    LINK = 'eager_bench.link'

    private

    def forgotten?(env)
      env['REQUEST_METHOD'] == 'POST' && env['PATH_INFO'].to_s.start_with?(FORGOTTEN)
    end

    # A letter takes time to write; that no letter was written must not show.
    def in_even_time
      ends = Process.clock_gettime(Process::CLOCK_MONOTONIC) + FORGOTTEN_SECONDS
      yield
    ensure
      sleep([ends - Process.clock_gettime(Process::CLOCK_MONOTONIC), 0].max)
    end

    def door(app, studio, secret, mailbox)
      places = { app: app, pages: @pages, accounts: @accounts }
      rules = Rules.new(studio, secret, mailbox)
      Class.new(Roda) do
        include Door

        opts.update(places)
        plugin(:rodauth, csrf: false, flash: false, render: false) { rules.call(self) }
        route do |request|
          # First: what a session that has ended asks for, the forms included, is not done for it.
          stay_signed_in
          request.rodauth
          request.halt(answer(account || turn_away))
        end
      end
    end
  end
end
