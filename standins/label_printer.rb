# frozen_string_literal: true

require 'fileutils'

module Standins
  # A label printer that is not there: each sheet sent to it becomes a file in a folder, and the oldest make room.
  class LabelPrinter
    MOST = 20

    # @param folder [String] made when missing
    def initialize(folder)
      @folder = folder
    end

    # @param bytes [String] a PDF @param name [String] of the job @param job [String] printed once, however often it is sent
    # @return [String] the file written
    def print(bytes, name, job)
      FileUtils.mkdir_p(@folder, mode: 0o700)
      path = File.join(@folder, "#{name.gsub(/[^a-z0-9]+/i, '-')}-#{job[0, 8]}.pdf")
      File.open(path, File::WRONLY | File::CREAT | File::TRUNC, 0o600) { |file| file.binmode.write(bytes) } unless File.exist?(path)
      Dir[File.join(@folder, '*.pdf')].sort_by { |file| File.mtime(file) }.reverse.drop(MOST).each { |old| File.delete(old) }
      path
    end
  end
end
