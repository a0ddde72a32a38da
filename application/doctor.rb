# frozen_string_literal: true

require 'open3'
require 'sqlite3'

module Application
  # Looks at a studio's folder and says what is wrong with it and what to do. Nothing is changed.
  class Doctor
    # @param status :fits, :tight or :will_not
    # @param code wording key below "doctor"
    # @param values for its wording
    Finding = Core::Value.define(:code, :status, values: {}.freeze)

    LEAST_FREE_MB = 200
    OLD_DAYS = 3

    # @param data [String] the studio's folder
    def initialize(data, now: Time.now)
      @data = data
      @file = File.join(data, 'studio.sqlite3')
      @now = now
    end

    # @return [Array<Finding>] worst first
    def findings
      found = [folder, disk, rights, database, served, backup, *damaged_backups, shipped].compact
      found.sort_by { |one| %i[will_not tight fits].index(one.status) }
    end

    private

    def finding(code, good, bad: :will_not, **values)
      Finding.new(code: good ? code : :"#{code}_wrong", status: good ? :fits : bad, values: values)
    end

    def folder
      finding(:folder, File.directory?(@data) && File.writable?(@data), path: @data)
    end

    def disk
      free = free_megabytes or return
      finding(:disk, free >= LEAST_FREE_MB, bad: :tight, free: free, least: LEAST_FREE_MB)
    end

    # @return [Integer, nil] of the disk that the folder lies on; nil where it cannot be told
    def free_megabytes
      output, status = Open3.capture2('df', '-Pm', @data)
      status.success? ? output.lines.last.to_s.split[3].to_i : nil
    rescue SystemCallError
      nil
    end

    # People's sizes and allergies stand in it.
    def rights
      return unless File.file?(@file)

      finding(:rights, File.stat(@file).mode.nobits?(0o077), bad: :tight, path: @file)
    end

    def database
      return Finding.new(code: :no_database, status: :tight, values: { path: @file }) unless File.file?(@file)

      checked = Store::Backups.check(@file)
      Finding.new(code: :"database_#{checked.status}", status: checked.status == :good ? :fits : :will_not,
        values: { classes: checked.classes, path: @file })
    end

    def served
      lock = File.join(@data, 'server.lock')
      held = File.file?(lock) && File.open(lock) { |file| !file.flock(File::LOCK_EX | File::LOCK_NB) }
      Finding.new(code: held ? :served : :not_served, status: :fits, values: { address: held ? File.read(lock).strip : '' })
    end

    def backups
      @backups ||= Store::Backups.new(@file)
    end

    def backup
      newest = backups.all.first
      return Finding.new(code: :no_backup, status: :tight) unless newest

      finding(:backup, @now - newest.at < OLD_DAYS * 24 * 3600, bad: :tight, date: newest.at.strftime('%-d %B %Y, %H:%M'), days: OLD_DAYS)
    end

    def damaged_backups
      backups.all.reject { |copy| Store::Backups.check(copy.path).status == :good }.map do |copy|
        Finding.new(code: :backup_damaged, status: :will_not, values: { name: copy.name })
      end
    end

    # What the program itself must have.
    def shipped
      needed = %w[web/public/vendor/bootstrap.min.css formats/fonts wording/en.yml demo/library.json]
      missing = needed.reject { |path| File.exist?(File.join(EagerBench::ROOT, path)) }
      finding(:shipped, missing.empty?, missing: missing.join(', '))
    end
  end
end
