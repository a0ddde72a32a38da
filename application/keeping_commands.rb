# frozen_string_literal: true

module Application
  # The commands that keep a studio safe: copies, putting one back, looking whether all is well.
  class KeepingCommands < FolderCommands
    USAGE = format(<<~TEXT, groups: StudioMerge::GROUPS.keys.join(', '))
      bin/eager-bench backup [FILE] [--data DIR]   copies the studio while it runs, to FILE or to DIR/backups
      bin/eager-bench restore FILE [--data DIR] [--yes]
                                                   says what it would replace; with --yes does it, the old studio kept aside
      bin/eager-bench check FILE                   tells whether a copy is whole, and what is in it
      bin/eager-bench export FILE [--data DIR]     writes the whole studio as one open file (a zip of JSON lines with their schemas)
      bin/eager-bench import FILE [--data DIR] [--only GROUP,...] [--theirs GROUP,...] [--yes]
                                                   says what another studio's file would bring; with --yes brings it. What differs here
                                                   stays, but for groups under --theirs; groups: %<groups>s
      bin/eager-bench doctor [--data DIR]          says what is wrong with the studio's folder and what to do
    TEXT
    NAMES = %w[backup restore check export import doctor].freeze
    VALUED = %w[--data --only --theirs].freeze
    FLAGS = %w[--yes].freeze

    # @return [Integer] exit status
    def run(name, arguments)
      options, files = split(arguments, VALUED, FLAGS)
      return @refuse.call(USAGE) unless options

      send(name, files, options)
    rescue Store::UnusableDatabase => e
      @refuse.call(e.message)
    end

    private

    def backup(files, _options)
      return @refuse.call(USAGE) if files.size > 1
      return no_studio unless File.file?(file)

      path = Store::Backups.new(file).take(:asked, to: files.first && File.expand_path(files.first))
      @say.call("Copied to #{path} and checked. The file #{File.basename(path)}.sha256 holds its checksum. Keep both on another disk.")
    end

    def restore(files, options)
      return @refuse.call(USAGE) unless files.size == 1

      source = File.expand_path(files.first)
      checked = Store::Backups.check(source)
      return @refuse.call(Formats::Wording.copy(checked, source)) unless checked.status == :good
      return @refuse.call("The studio in #{@data} is being served. Stop the program, then try again.") if served?

      now = Store::Backups.check(file)
      plan = "#{Formats::Wording.copy(checked, source)}\nIt would take the place of: #{Formats::Wording.copy(now, file)}"
      kept = "the studio as it is will be kept in #{@data}/backups"
      return @say.call("#{plan}\nNothing was changed. Add --yes to do it; #{kept}.") unless options['--yes']

      FileUtils.mkdir_p(@data, mode: 0o700)
      kept = Store::Backups.new(file).restore(source)
      @say.call("Restored.#{" What was there is kept as #{kept}." unless kept.empty?}")
    end

    def check(files, _options)
      return @refuse.call(USAGE) unless files.size == 1

      checked = Store::Backups.check(File.expand_path(files.first))
      (checked.status == :good ? @say : @refuse).call(Formats::Wording.copy(checked, files.first))
    end

    def export(files, _options)
      return @refuse.call(USAGE) unless files.size == 1

      with_studio do |studio|
        bytes = Formats::StudioFile.write(StudioArchive.of(studio))
        Store::WholeFile.write(files.first, bytes)
        @say.call("The studio is in #{files.first}, people with it. Accounts and older states are not.")
      end
    rescue SystemCallError => e
      @refuse.call("#{files.first}: #{e.message.sub(/ @ .*/, '')}. Nothing was written. Give a file that can be written.")
    end

    def import(files, options)
      only, theirs = %w[--only --theirs].map { |name| options[name]&.split(',')&.map(&:to_sym) }
      known = StudioMerge::GROUPS.keys
      return @refuse.call(USAGE) if files.size != 1 || ([*only, *theirs] - known).any?

      content = Formats::StudioFile.read(File.binread(files.first))
      with_studio { |studio| merge(StudioMerge.new(studio, content), only || known, theirs || [], options) }
    rescue Formats::BadDocument => e
      @refuse.call(e.message)
    rescue StudioMerge::Unplannable => e
      @refuse.call(Formats::Wording.say('merge.unplannable', name: e.message))
    rescue SystemCallError => e
      @refuse.call("#{files.first}: #{e.message.sub(/ @ .*/, '')}. Give a file that can be read.")
    end

    def merge(merge, only, theirs, options)
      return @say.call("#{merge.call(only, theirs: theirs)} things came or changed.") if options['--yes']

      merge.preview.select { |one| only.include?(one.group) }.each { |one| @say.call(Formats::Wording.merge(one)) }
      @say.call('Nothing was changed. Add --yes to bring it.')
    end

    def doctor(files, _options)
      return @refuse.call(USAGE) if files.any?

      findings = Doctor.new(@data).findings
      findings.each do |finding|
        @say.call("#{finding.status == :fits ? 'ok  ' : 'LOOK'}  #{Formats::Wording.say("doctor.#{finding.code}", **finding.values)}")
      end
      findings.all? { |finding| finding.status == :fits } ? 0 : REFUSED
    end

    def served?
      lock = File.join(@data, 'server.lock')
      File.file?(lock) && File.open(lock) { |held| !held.flock(File::LOCK_EX | File::LOCK_NB) }
    end
  end
end
