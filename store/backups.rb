# frozen_string_literal: true

require 'digest'
require 'fileutils'
require 'sqlite3'
require 'time'
require 'sequel'

module Store
  # Consistent copies of a studio's database, taken while it is in use (SQLite's own backup), each with a checksum beside it.
  class Backups
    KEEP = 14
    DAY = 24 * 3600
    # :daily, :before_upgrade, :before_restore, :asked or :brought (from elsewhere)
    REASONS = %i[daily before_upgrade before_restore asked brought].freeze
    # What was asked for stays until somebody takes it away.
    STAYING = %i[asked brought].freeze
    NAME = /\Astudio-(?<at>\d{8}-\d{6})(?:-\d+)?-(?<reason>#{REASONS.join('|')})\.sqlite3\z/

    # One copy. at: Time · bytes
    Copy = Core::Value.define(:path, :at, :reason, :bytes) do
      def name
        File.basename(path)
      end
    end

    # What a file holds. status: :good, :damaged, :changed (not what its checksum says), :newer or :no_studio
    # name: of the studio · version: of its schema · classes: how many · changed: Time it was last written, or nil
    Checked = Core::Value.define(:status, name: nil, version: nil, classes: 0, changed: nil)

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

    # @param reason [Symbol] one of REASONS @param to [String, nil] a file of one's own, else one in the backups' folder
    # @return [String] the copy's path @raise [Unusable]
    def take(reason, to: nil, now: Time.now)
      take_from(@database, to || free_path(reason, now)).tap { forget unless to }
    end

    # Puts a copy from elsewhere among these. @return [String] its path @raise [Unusable] where it is none, or not whole
    def bring(file, now: Time.now)
      checked = Backups.check(file)
      raise Unusable.new(checked.status == :newer ? :newer : :damaged, file) unless checked.status == :good

      take_from(file, free_path(:brought, now))
    end

    # @return [Boolean] whether a day has gone since the newest
    def due?(now = Time.now)
      newest = all.first
      newest.nil? || now - newest.at > DAY
    end

    # @return [Checked]
    def self.check(path)
      return Checked.new(status: :no_studio) unless File.file?(path)
      return Checked.new(status: :changed) unless sum_agrees?(path)

      look(path)
    end

    # Puts a copy in the place of the studio, which is kept beside the others. Nobody may be using it.
    # @return [String] where the studio as it was is kept, or '' where there was none @raise [Unusable]
    def restore(path, now: Time.now)
      checked = Backups.check(path)
      raise Unusable.new(checked.status == :newer ? :newer : :damaged, path) unless checked.status == :good

      kept = File.file?(@database) && File.size(@database).positive? ? take(:before_restore, now: now) : ''
      copy(path, "#{@database}.part")
      %w[-wal -shm].each { |beside| FileUtils.rm_f("#{@database}#{beside}") }
      File.rename("#{@database}.part", @database)
      File.chmod(Database::OWNER_ONLY, @database)
      kept
    end

    class << self
      private

      def sum_agrees?(path)
        beside = "#{path}.sha256"
        !File.file?(beside) || File.read(beside)[/\A\h{64}/] == Digest::SHA256.file(path).hexdigest
      end

      def look(path)
        database = SQLite3::Database.new(path, readonly: true)
        return Checked.new(status: :damaged) unless database.get_first_value('PRAGMA integrity_check') == 'ok'

        version = database.get_first_value('SELECT version FROM schema_info').to_i
        latest = Dir[File.join(Database::MIGRATIONS, '*.rb')].size
        Checked.new(status: version > latest ? :newer : :good, version: version, name: database.get_first_value('SELECT name FROM studio'),
          classes: database.get_first_value('SELECT count(*) FROM classes').to_i, changed: File.mtime(path))
      rescue SQLite3::SQLException
        Checked.new(status: :no_studio)
      rescue SQLite3::Exception
        Checked.new(status: :damaged)
      ensure
        database&.close
      end
    end

    private

    def take_from(file, path)
      FileUtils.mkdir_p(File.dirname(path), mode: 0o700)
      copy(file, "#{path}.part")
      File.rename("#{path}.part", path)
      File.write("#{path}.sha256", "#{Digest::SHA256.file(path).hexdigest}  #{File.basename(path)}\n", perm: Database::OWNER_ONLY)
      path
    rescue SQLite3::Exception, SystemCallError => e
      FileUtils.rm_f("#{path}.part")
      raise Unusable.of(e, path)
    end

    def free_path(reason, now)
      stamp = now.strftime('%Y%m%d-%H%M%S')
      names = ["studio-#{stamp}-#{reason}.sqlite3", *(2..99).map { |number| "studio-#{stamp}-#{number}-#{reason}.sqlite3" }]
      names.map { |name| File.join(@folder, name) }.find { |path| !File.exist?(path) }
    end

    def copy(from, to)
      FileUtils.rm_f(to)
      source = SQLite3::Database.new(from, readonly: true)
      target = SQLite3::Database.new(to)
      File.chmod(Database::OWNER_ONLY, to)
      backup = SQLite3::Backup.new(target, 'main', source, 'main')
      backup.step(-1)
      backup.finish
      # A file by itself, without a log beside it.
      target.execute('PRAGMA journal_mode = DELETE')
    ensure
      target&.close
      source&.close
    end

    # What was asked for stays; of the others the newest.
    def forget
      all.reject { |kept| STAYING.include?(kept.reason) }.drop(@keep).each do |kept|
        [kept.path, "#{kept.path}.sha256"].each { |path| FileUtils.rm_f(path) }
      end
    end
  end
end
