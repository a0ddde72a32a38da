# frozen_string_literal: true

require 'fileutils'
require 'securerandom'

module Web
  # Files of other studios, kept between the look at what they would bring and the yes; the oldest make room.
  class BroughtFiles
    MOST = 5
    NAME = /\A\h{24}\z/

    # @param folder [String] made when missing
    def initialize(folder)
      @folder = folder
    end

    # @param bytes [String] @return [String] its name
    def keep(bytes)
      FileUtils.mkdir_p(@folder, mode: 0o700)
      name = SecureRandom.hex(12)
      File.open(path(name), File::WRONLY | File::CREAT, 0o600) { |file| file.binmode.write(bytes) }
      Dir[File.join(@folder, '*.zip')].sort_by { |file| File.mtime(file) }.reverse.drop(MOST).each { |old| File.delete(old) }
      name
    end

    # @return [String] @raise [Store::NotFound]
    def read(name)
      raise Store::NotFound.new(:file, name) unless NAME.match?(name) && File.file?(path(name))

      File.binread(path(name))
    end

    private

    def path(name)
      File.join(@folder, "#{name}.zip")
    end
  end
end
