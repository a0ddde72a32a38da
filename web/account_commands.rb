# frozen_string_literal: true

require 'uri'

module Web
  # The accounts of a shared studio from the command line: for the first owner, and for a machine without a screen. Works while the studio
  # is served, too.
  class AccountCommands < Application::FolderCommands
    USAGE = <<~TEXT
      bin/eager-bench account list [--data DIR]
      bin/eager-bench account add ADDRESS --name NAME --role owner|instructor|helper|viewer [--data DIR] [--at URL]
      bin/eager-bench account link ADDRESS [--data DIR] [--at URL]     prints a new link to set the password; it holds for a day
      bin/eager-bench account remove ADDRESS [--data DIR]
        --at URL   where the studio is reached, such as https://studio.example (default: where it is served just now)
    TEXT
    VALUED = %w[--data --at --name --role].freeze

    # @return [Integer] exit status
    def run(arguments)
      given, words = split(arguments, VALUED)
      return @refuse.call(USAGE) if given.nil? || words.empty?

      @at = given['--at']
      return @refuse.call("#{@at} is no address of a studio. Give one such as https://studio.example") unless @at.nil? || address?(@at)

      with_studio do |studio|
        @studio = studio
        perform(words, given)
      end
    rescue Store::UnusableDatabase => e
      @refuse.call(e.message)
    end

    private

    def perform(words, given)
      case words
      in ['list'] then list
      in ['add', login] then add(login, given)
      in ['link', login] then known(login) { |account| say_link(account) }
      in ['remove', login] then known(login) { |account| remove(account) }
      else @refuse.call(USAGE)
      end
    end

    def list
      @studio.accounts.all.each { |one| @say.call("#{one.login}  #{one.role}  #{one.name}#{'  (no password yet)' unless one.ready}") }
      0
    end

    def add(login, given)
      name = given.fetch('--name', login[/\A[^@]+/].to_s)
      form = Presenters::AccountForm.new('login' => login, 'name' => name, 'role' => given['--role'])
      return @refuse.call(form.errors.map { |field, words| "#{field}: #{words}" }.join("\n")) unless form.valid?

      say_link(@studio.accounts.find(@studio.accounts.add(**form.to_h)))
    rescue Store::Accounts::LoginTaken
      @refuse.call("#{login} has an account already. For a new password: bin/eager-bench account link #{login}")
    end

    def remove(account)
      @studio.accounts.remove(account.id)
      @say.call("Removed: #{account.name}.")
    rescue Store::Accounts::LastOwner
      @refuse.call('This is the only owner. Make someone else an owner first.')
    end

    def known(login)
      account = @studio.accounts.with_login(login)
      account ? yield(account) : @refuse.call("Nobody has an account with #{login}. bin/eager-bench account list shows who has.")
    end

    def say_link(account)
      link = SignIn.new(nil, nil, @studio, secret: Secret.of(@data), mailbox: SignIn.mailbox(@data)).invite(account, address)
      @say.call("#{account.name} can set a password with this link, for a day:\n#{link}")
    end

    def address?(text)
      URI(text).is_a?(URI::HTTP) && !URI(text).host.nil?
    rescue URI::InvalidURIError
      false
    end

    # Where it is served just now, or would be.
    def address
      lock = File.join(@data, 'server.lock')
      served = File.file?(lock) ? File.read(lock).strip : ''
      @at || (served.empty? ? "http://#{Server::HOST}:9410" : served)
    end
  end
end
