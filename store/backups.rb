# frozen_string_literal: true

require 'digest'
require 'fileutils'
require 'sqlite3'
require 'time'
require 'sequel'

module Store
  # Copies of a studio's database, taken while it is in use, each compared with the studio and with a checksum beside it.
  class Backups
    KEEP = 14
    DAY = 24 * 3600
    # What is said of a copy that is not good.
    REFUSALS = { newer: :newer, unreadable: :unreadable }.freeze
    # Room for checksums and what SQLite writes beside a copy.
    SPARE_BYTES = 131_072
    # :daily, :before_upgrade, :before_restore, :asked or :brought (from elsewhere)
    REASONS = %i[daily before_upgrade before_restore asked brought].freeze
    # What was asked for stays until someone takes it away.
    STAYING = %i[asked brought].freeze
    NAME = /\Astudio-(?<at>\d{8}-\d{6})(?:-\d+)?-(?<reason>#{REASONS.join('|')})\.sqlite3\z/

    # One copy.
    #
    # @param at Time
    Copy = Core::Value.define(:path, :at, :reason, :bytes) do
      def name
        File.basename(path)
      end
    end

    # @param database [String] the studio's file @param keep [Integer] copies taken by themselves that stay
    def initialize(database, keep: KEEP)
      @database = database
      @folder = File.join(File.dirname(database), 'backups')
      @keep = keep
    end

    attr_reader :folder

    # @return [Array<Copy>] the newest first
    def all
      Dir[File.join(@folder, 'studio-*.sqlite3')].filter_map { |path|
        found = NAME.match(File.basename(path)) or next
        Copy.new(path: path, at: Time.strptime(found[:at], '%Y%m%d-%H%M%S'), reason: found[:reason].to_sym, bytes: File.size(path))
      }.sort_by { |copy| [copy.at, copy.path] }.reverse
    end

    # @param reason [Symbol] one of REASONS
    # @param to [String, nil] a file of the caller's own; nil for one in the backups' folder
    # @return [String] the copy's path
    # @raise [UnusableDatabase] when there is no whole copy; what was there is as it was
    def take(reason, to: nil, now: Time.now)
      raise UnusableDatabase.new(:itself, to) if to && File.exist?(to) && File.identical?(to, @database)

      take_from(@database, to || free_path(reason, now)).tap { forget unless to }
    end

    # Adds a copy from elsewhere to these.
    # @return [String] its path
    # @raise [UnusableDatabase] where it is none, or not whole
    def bring(file, now: Time.now)
      refuse_unless_good(file)
      take_from(file, free_path(:brought, now))
    end

    # @return [Boolean] whether a day has gone since the newest
    def due?(now = Time.now)
      newest = all.first
      newest.nil? || now - newest.at > DAY
    end

    # @return [Checked]
    def self.check(path)
      Checked.of(path)
    end

    # Puts a copy in the place of the studio, which is kept among the backups first. Nobody may be using it.
    # @return [String] where the studio as it was is kept, or '' where there was none
    # @raise [UnusableDatabase] when the copy could not be put back; the studio is as it was
    def restore(path, now: Time.now)
      refuse_unless_good(path)
      needs_room(@database, [path, *(@database if present?)].sum { |file| File.size(file) })
      kept = keep_present(now)
      WholeFile.replace(@database) do |part|
        DatabaseCopy.new(path, part).call
        fold_log
      end
      kept
    rescue SQLite3::Exception, SystemCallError, DatabaseCopy::Differs => e
      raise UnusableDatabase.of(e, @database)
    end

    # Removes a copy and its checksum.
    # @param name [String] of one of {all}
    def remove(name)
      copy = all.find { |one| one.name == name } or return
      discard(copy.path)
    end

    # Changes a copy in place: what the block did is checked and gets a new checksum, or the copy stays as it was.
    # @param name [String] of one of {all}
    # @yieldparam database [Sequel::Database] of the copy, of any version
    # @raise [UnusableDatabase]
    def rewrite(name)
      copy = all.find { |one| one.name == name } or return
      put_whole(copy.path) do |part|
        DatabaseCopy.new(copy.path, part).call
        within(part) do |database|
          yield database
          database.run('VACUUM')
        end
        raise DatabaseCopy::Differs, "#{part} is damaged" unless Backups.check(part).status == :good
      end
    rescue SQLite3::Exception, SystemCallError, DatabaseCopy::Differs, Sequel::Error => e
      raise UnusableDatabase.of(e, copy.path)
    end

    private

    def take_from(file, path)
      FileUtils.mkdir_p(File.dirname(path), mode: 0o700)
      needs_room(path, DatabaseCopy.bytes(file))
      put_whole(path) { |part| DatabaseCopy.new(file, part).call }
    rescue SQLite3::Exception, SystemCallError, DatabaseCopy::Differs => e
      raise UnusableDatabase.of(e, path)
    end

    # A copy and its checksum. Killed in between, the copy stands without a checksum, which is no fault.
    def put_whole(path, &block)
      sum = nil
      WholeFile.replace(path) do |part|
        block.call(part)
        sum = "#{Digest::SHA256.file(part).hexdigest}  #{File.basename(path)}\n"
        FileUtils.rm_f("#{path}.sha256")
      end
      WholeFile.write("#{path}.sha256", sum)
      path
    end

    def within(path)
      database = Sequel.connect(adapter: 'sqlite', database: path)
      yield database
    ensure
      database&.disconnect
    end

    def needs_room(path, bytes)
      free = WholeFile.room(path) or return
      needed = bytes + SPARE_BYTES
      return if free >= needed

      raise UnusableDatabase.new(:no_room, path, needed: megabytes(needed), free: megabytes(free))
    end

    def megabytes(bytes)
      format('%.1f', bytes / 1_000_000.0)
    end

    def refuse_unless_good(path)
      status = Backups.check(path).status
      raise UnusableDatabase.new(REFUSALS.fetch(status, :damaged), path) unless status == :good
    end

    def present?
      File.file?(@database) && File.size(@database).positive?
    end

    # A studio that cannot be read is moved aside byte by byte: someone may still save something of it.
    def keep_present(now)
      return '' unless present?
      return take(:before_restore, now: now) if Backups.check(@database).status == :good

      aside = File.join(@folder, "damaged-#{now.strftime('%Y%m%d-%H%M%S')}.sqlite3")
      FileUtils.mkdir_p(@folder, mode: 0o700)
      ['', '-wal'].each do |ending|
        WholeFile.replace("#{aside}#{ending}") { |part| FileUtils.cp("#{@database}#{ending}", part) } if File.file?("#{@database}#{ending}")
      end
      aside
    end

    # The log belongs to the file that is about to go: what stands in it is kept already.
    def fold_log
      database = SQLite3::Database.new(@database)
      database.execute('PRAGMA wal_checkpoint(TRUNCATE)')
      database.execute('PRAGMA journal_mode = DELETE')
    rescue SQLite3::Exception
      # Damaged, or the disk is full; see keep_present.
      nil
    ensure
      database&.close
      FileUtils.rm_f(%w[-wal -shm].map { |ending| "#{@database}#{ending}" })
    end

    def free_path(reason, now)
      stamp = now.strftime('%Y%m%d-%H%M%S')
      names = ["studio-#{stamp}-#{reason}.sqlite3", *(2..99).map { |number| "studio-#{stamp}-#{number}-#{reason}.sqlite3" }]
      names.map { |name| File.join(@folder, name) }.find { |path| !File.exist?(path) }
    end

    # What was asked for stays; of the others the newest.
    def forget
      all.reject { |kept| STAYING.include?(kept.reason) }.drop(@keep).each { |kept| discard(kept.path) }
    end

    def discard(path)
      FileUtils.rm_f([path, "#{path}.sha256"])
    end
  end
end
