# frozen_string_literal: true

require 'fileutils'
require 'open3'
require 'securerandom'

module Store
  # Writes a whole file or leaves what was there: the new file is made beside the old one, forced to the disk, then renamed.
  module WholeFile
    OWNER_ONLY = 0o600
    # Ends the names of unfinished files. A kill can leave one; {sweep} removes it at the next start.
    PART = '.part'
    BYTES_PER_KILOBYTE = 1024

    module_function

    # @param path [String] of the file to make or replace
    # @yieldparam part [String] the path that the block must fill
    # @return [String] path
    # @raise [SystemCallError] when it cannot be written; the old file is as it was
    def replace(path)
      part = "#{path}.#{SecureRandom.hex(4)}#{PART}"
      yield part
      File.chmod(OWNER_ONLY, part)
      sync(part)
      File.rename(part, path)
      sync(File.dirname(path))
      path
    ensure
      FileUtils.rm_f([part, "#{part}-journal", "#{part}-wal", "#{part}-shm"])
    end

    # @param bytes [String]
    # @return [String] path
    # @raise [SystemCallError]
    def write(path, bytes)
      replace(path) { |part| File.open(part, File::WRONLY | File::CREAT | File::EXCL, OWNER_ONLY) { |file| file.binmode.write(bytes) } }
    end

    # Removes what a killed program left unfinished. Call it only while nobody else writes in the folder.
    # @param folder [String]
    def sweep(folder)
      FileUtils.rm_f(Dir[File.join(folder, '**', "*#{PART}*")].select { |path| File.file?(path) })
    end

    # @param path [String] a file or folder, or one that shall be made
    # @return [Integer, nil] bytes that its disk can still take; nil where the system does not tell
    def room(path)
      path = File.dirname(path) until File.exist?(path)
      output, status = Open3.capture2('df', '-Pk', path)
      status.success? ? output.lines.last.to_s.split[3].to_i * BYTES_PER_KILOBYTE : nil
    rescue SystemCallError
      nil
    end

    def sync(path)
      File.open(path, &:fsync)
    end
    private_class_method :sync
  end
end
