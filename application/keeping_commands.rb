# frozen_string_literal: true

module Application
  # The commands that keep a studio safe: copies, putting one back, looking whether all is well.
  class KeepingCommands
    USAGE = <<~TEXT
      bin/eager-bench backup [FILE] [--data DIR]   copies the studio while it runs, to FILE or to DIR/backups
      bin/eager-bench restore FILE [--data DIR] [--yes]
                                                   says what it would replace; with --yes does it, the old studio kept aside
      bin/eager-bench check FILE                   tells whether a copy is whole, and what is in it
      bin/eager-bench doctor [--data DIR]          says what is wrong with the studio's folder and what to do
    TEXT
    NAMES = %w[backup restore check doctor].freeze
    # Not a usable answer: what the command line ends with.
    REFUSED = 2

    # @param say [#call] @param refuse [#call] with a text @param usual [String] the folder where none is given
    def initialize(say:, refuse:, usual:)
      @say = say
      @refuse = refuse
      @usual = usual
    end

    # @return [Integer] exit status
    def run(name, arguments)
      options, files = split(arguments)
      return @refuse.call(USAGE) unless options

      @data = File.expand_path(options.fetch('--data', @usual))
      send(name, files, options)
    rescue Store::Unusable => e
      @refuse.call(e.message)
    end

    private

    # @return [(Hash, Array<String>), nil] options with their values, and files; nil where one is not known
    def split(arguments)
      options, files, rest = {}, [], arguments.dup
      while (argument = rest.shift)
        case argument
        when '--yes' then options['--yes'] = true
        when '--data' then options['--data'] = rest.shift or return nil
        when /\A--/ then return nil
        else files << argument
        end
      end
      [options, files]
    end

    def file
      File.join(@data, 'studio.sqlite3')
    end

    def backup(files, _options)
      return @refuse.call(USAGE) if files.size > 1
      return @refuse.call("There is no studio in #{@data}. Name its folder with --data.") unless File.file?(file)

      path = Store::Backups.new(file).take(:asked, to: files.first && File.expand_path(files.first))
      @say.call("Copied to #{path}. Its checksum stands beside it. Keep both on another disk.")
    end

    def restore(files, options)
      return @refuse.call(USAGE) unless files.size == 1

      source = File.expand_path(files.first)
      checked = Store::Backups.check(source)
      return @refuse.call(words(checked, source)) unless checked.status == :good
      return @refuse.call("The studio in #{@data} is being served. Stop the program, then try again.") if served?

      now = Store::Backups.check(file)
      plan = "#{words(checked, source)}\nIt would take the place of: #{words(now, file)}"
      kept = "the studio as it is will be kept in #{@data}/backups"
      return @say.call("#{plan}\nNothing was changed. Add --yes to do it; #{kept}.") unless options['--yes']

      FileUtils.mkdir_p(@data, mode: 0o700)
      kept = Store::Backups.new(file).restore(source)
      @say.call("Restored.#{" What was there is kept as #{kept}." unless kept.empty?}")
    end

    def check(files, _options)
      return @refuse.call(USAGE) unless files.size == 1

      checked = Store::Backups.check(File.expand_path(files.first))
      checked.status == :good ? @say.call(words(checked, files.first)) : @refuse.call(words(checked, files.first))
    end

    def doctor(files, _options)
      return @refuse.call(USAGE) if files.any?

      findings = Doctor.new(@data).findings
      findings.each do |finding|
        @say.call("#{finding.status == :fits ? 'ok  ' : 'LOOK'}  #{Formats::Wording.say("doctor.#{finding.code}", **finding.values)}")
      end
      findings.all? { |finding| finding.status == :fits } ? 0 : REFUSED
    end

    def words(checked, path)
      Formats::Wording.say("copies.#{checked.status}", path: path, name: checked.name.to_s, classes: checked.classes,
        changed: checked.changed ? checked.changed.strftime('%-d %B %Y, %H:%M') : '')
    end

    def served?
      lock = File.join(@data, 'server.lock')
      File.file?(lock) && File.open(lock) { |held| !held.flock(File::LOCK_EX | File::LOCK_NB) }
    end
  end
end
