# frozen_string_literal: true

require 'sqlite3'

module Application
  # Takes a person out of everything that a studio keeps: classes with all their states, results, files on their way, the database's free
  # pages and its log. Copies are the owner's to decide on.
  class Erasure
    # @param classes how many they were in
    # @param mentions names of people whose own notes still bear the name
    # @param copies names of the copies that still hold them
    # @param clean false where the old text may stay in the database's log until the program is stopped
    Done = Core::Value.define(:classes, :mentions, :copies, clean: true)

    # @param studio [Store::Studio]
    # @param backups [Store::Backups]
    # @param files [Array<#remove>] folders of files that may hold people: brought studios, printed sheets, letters
    def initialize(studio, backups, files: [])
      @studio = studio
      @backups = backups
      @files = files
    end

    # A name that nobody has takes nothing away, since every file holds an empty text and many hold a short one.
    # @param name [String]
    # @param number [Integer] which of those with this name in one class
    # @return [Done]
    def call(name, number = 1)
      traces = Store::PersonTraces.new(@studio.database, name, number)
      @studio.invitations.erase([name])
      return Done.new(classes: 0, mentions: [], copies: copies_with(name)) if traces.keys.empty?

      @studio.classes.erase_everywhere(traces)
      finish([name, *traces.texts].uniq, traces.keys.size)
    end

    # @param name [String]
    # @return [Array<String>] names of the copies that hold it, the newest first
    def copies_with(name)
      return [] if name.strip.empty?

      bytes = JSON.generate(name)[1..-2].b
      @backups.all.select { |copy| File.binread(copy.path).include?(bytes) || document_with?(copy.path, name) }.map(&:name)
    end

    # Takes the person out of copies, each of which is checked afterwards and gets a new checksum.
    # @param copies [Array<String>] their names
    # @raise [Store::UnusableDatabase]
    def from_copies(name, copies, number = 1)
      (copies & copies_with(name)).each do |copy|
        @backups.rewrite(copy) { |database| erase_in(database, name, number) }
      end
    end

    # @param copies [Array<String>] names of those that go
    def drop_copies(copies)
      copies.each { |copy| @backups.remove(copy) }
    end

    # After someone was taken out of one class for good.
    # @return [Done]
    def finish(texts, classes = 1)
      @studio.result_cache.forget(texts)
      parts = texts.map(&:b)
      @files.each { |folder| folder.remove { |bytes| holds?(bytes, parts) } }
      @studio.classes.forget_read
      Done.new(classes: classes, mentions: mentions(texts.first), copies: copies_with(texts.first), clean: @studio.compact)
    end

    private

    # A compressed file does not show what is in it.
    def holds?(bytes, parts)
      return true if bytes.start_with?('PK', '%PDF')

      [bytes, decoded(bytes)].any? { |text| parts.any? { |part| text.include?(part) } }
    end

    def decoded(bytes)
      bytes.unpack1('M').to_s.b + bytes.scan(%r{^[A-Za-z0-9+/=]{40,}$}).join.unpack1('m').to_s.b
    end

    def mentions(name)
      people = @studio.classes.all.flat_map { |one| one.state.attendees }
      people.select { |one| [one.notes, one.needs.guardian].any? { |text| text.include?(name) } }.map(&:name).uniq
    end

    def document_with?(path, name)
      database = SQLite3::Database.new(path, readonly: true)
      database.get_first_value('SELECT count(*) FROM class_revisions WHERE instr(document, ?)', [JSON.generate(name)[1..-2]]).positive?
    rescue SQLite3::Exception
      false
    ensure
      database&.close
    end

    # Copies of older versions stay of that version: only what every version has is touched.
    def erase_in(database, name, number)
      traces = Store::PersonTraces.new(database, name, number)
      database.transaction { traces.erase }
      texts = [name, *traces.texts].uniq
      database[:attendees].where(name: texts).delete if database.table_exists?(:attendees)
      Store::Invitations.new(database).erase(texts) if database.table_exists?(:answers)
      Store::ResultCache.new(database).forget(texts) if database.table_exists?(:worked_out)
    end
  end
end
