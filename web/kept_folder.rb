# frozen_string_literal: true

require 'fileutils'

module Web
  # A folder of the newest files, which only its owner may read; the oldest make room.
  class KeptFolder
    # @param folder [String] made when missing @param most [Integer] files
    def initialize(folder, most:)
      @folder = folder
      @most = most
    end

    # @param name [String] of the file; what is there already stays @param bytes [String] @return [String] its path
    def put(name, bytes)
      FileUtils.mkdir_p(@folder, mode: 0o700)
      Store::WholeFile.write(path(name), bytes) unless key?(name)
      newest_first.drop(@most).each { |old| File.delete(old) }
      path(name)
    end

    def key?(name)
      File.file?(path(name))
    end

    # @return [String]
    def read(name)
      File.binread(path(name))
    end

    # Removes the files that the block names.
    # @yieldparam bytes [String] of a file
    # @return [Integer] how many went
    def remove
      gone = Dir[path('*')].select { |file| File.file?(file) && yield(File.binread(file)) }
      gone.each { |file| File.delete(file) }.size
    end

    private

    def path(name)
      File.join(@folder, name)
    end

    def newest_first
      Dir[path('*')].reject { |file| file.end_with?(Store::WholeFile::PART) }.sort_by { |file| [File.mtime(file), file] }.reverse
    end
  end
end
