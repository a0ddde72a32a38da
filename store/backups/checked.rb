# frozen_string_literal: true

module Store
  class Backups
    # Triggers and views run inside the studio: those of a copy must be this program's own.
    RUNNING_OBJECTS = "SELECT sql FROM sqlite_master WHERE type NOT IN ('table', 'index')"

    # What a file holds.
    #
    # @param status :good, :damaged, :changed (not what its checksum says), :newer, :foreign (with triggers or views that are not this
    #   program's), :unreadable (just now: no room, no right) or :no_studio
    # @param name of the studio
    # @param version of its schema
    # @param classes how many
    # @param changed Time it was last written, or nil
    Checked = Core::Value.define(:status, name: nil, version: nil, classes: 0, changed: nil) do
      class << self
        # @return [Checked] of the file with its checksum
        def of(path)
          return new(status: :no_studio) unless File.file?(path)
          return new(status: :changed) unless sum_agrees?(path)

          look(path)
        end

        private

        def sum_agrees?(path)
          beside = "#{path}.sha256"
          !File.file?(beside) || File.read(beside)[/\A\h{64}/] == Digest::SHA256.file(path).hexdigest
        end

        def own_objects?(database)
          found = database.execute(RUNNING_OBJECTS).flatten
          return true if found.empty?

          own = Dir[File.join(Database::MIGRATIONS, '*.rb')].map { |file| File.read(file) }.join
          found.all? { |sql| own.include?(sql) }
        end

        def look(path)
          database = SQLite3::Database.new(path, readonly: true)
          return new(status: :damaged) unless database.get_first_value('PRAGMA integrity_check') == 'ok'

          version = database.get_first_value('SELECT version FROM schema_info').to_i
          return new(status: :foreign) unless own_objects?(database)

          latest = Dir[File.join(Database::MIGRATIONS, '*.rb')].size
          new(status: version > latest ? :newer : :good, version: version, name: database.get_first_value('SELECT name FROM studio'),
            classes: database.get_first_value('SELECT count(*) FROM classes').to_i, changed: File.mtime(path))
        rescue SQLite3::SQLException
          new(status: :no_studio)
        rescue SQLite3::NotADatabaseException, SQLite3::CorruptException
          new(status: :damaged)
        rescue SQLite3::Exception
          new(status: :unreadable)
        ensure
          database&.close
        end
      end
    end
  end
end
