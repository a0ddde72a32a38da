# frozen_string_literal: true

module Web
  # The accounts of a shared studio from the command line: for the first owner, and for a machine without a screen. Works while the studio
  # is served, too.
  class AccountCommands
    USAGE = <<~TEXT
      bin/eager-bench account list [--data DIR]
      bin/eager-bench account add ADDRESS --name NAME --role owner|instructor|helper|viewer [--data DIR] [--at URL]
      bin/eager-bench account link ADDRESS [--data DIR] [--at URL]     prints a new link to set the password; it holds for a day
      bin/eager-bench account remove ADDRESS [--data DIR]
        --at URL   where the studio is reached, such as https://studio.example (default: where it is served just now)
    TEXT
    OPTIONS = %w[--data --at --name --role].freeze
    REFUSED = 2

    def initialize(arguments, usual: File.join(EagerBench::ROOT, 'data'), output: $stdout, errors: $stderr)
      @arguments = arguments
      @usual = usual
      @output = output
      @errors = errors
    end

    # @return [Integer] exit status
    def run
      rest = @arguments.dup
      given = OPTIONS.to_h { |name| [name, (at = rest.index(name)) && rest.slice!(at, 2).last] }.compact
      return refuse(USAGE) if rest.any? { |one| one.start_with?('--') } || given.values.any? { |value| OPTIONS.include?(value) }

      @data = File.expand_path(given.fetch('--data', @usual))
      @at = given['--at']
      with_studio { perform(rest, given) }
    rescue Store::Unusable => e
      refuse(e.message)
    end

    private

    def with_studio
      file = File.join(@data, 'studio.sqlite3')
      return refuse("There is no studio in #{@data}. Start it once with bin/start, or name its folder with --data.") unless File.file?(file)

      @studio = Store::Studio.new(file)
      yield
    ensure
      @studio&.close
    end

    def perform(words, given)
      case words
      in ['list'] then list
      in ['add', login] then add(login, given)
      in ['link', login] then known(login) { |account| say_link(account) }
      in ['remove', login] then known(login) { |account| remove(account) }
      else refuse(USAGE)
      end
    end

    def list
      @studio.accounts.all.each { |one| say("#{one.login}  #{one.role}  #{one.name}#{'  (no password yet)' unless one.ready}") }
      0
    end

    def add(login, given)
      form = Presenters::AccountForm.new('login' => login, 'name' => given.fetch('--name', login[/\A[^@]+/].to_s), 'role' => given['--role'])
      return refuse(form.errors.map { |field, words| "#{field}: #{words}" }.join("\n")) unless form.valid?

      say_link(@studio.accounts.find(@studio.accounts.add(**form.to_h)))
    rescue Store::Accounts::LoginTaken
      refuse("#{login} has an account already. For a new password: bin/eager-bench account link #{login}")
    end

    def remove(account)
      @studio.accounts.remove(account.id)
      say("Removed: #{account.name}.")
    rescue Store::Accounts::LastOwner
      refuse('This is the only owner. Make somebody else an owner first.')
    end

    def known(login)
      account = @studio.accounts.with_login(login)
      account ? yield(account) : refuse("Nobody has an account with #{login}. bin/eager-bench account list shows who has.")
    end

    def say_link(account)
      mailbox = Standins::Mailbox.new(File.join(@data, 'outgoing mail'))
      link = SignIn.new(nil, nil, @studio, secret: Secret.of(@data), mailbox: mailbox).invite(account, address)
      say("#{account.name} can set a password with this link, for a day:\n#{link}")
    end

    # Where it is served just now, or would be.
    def address
      lock = File.join(@data, 'server.lock')
      served = File.file?(lock) ? File.read(lock).strip : ''
      @at || (served.empty? ? "http://#{Server::HOST}:9410" : served)
    end

    def say(text)
      @output.puts(text)
      0
    end

    def refuse(text)
      @errors.puts(text)
      REFUSED
    end
  end
end
