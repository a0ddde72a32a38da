# frozen_string_literal: true

require 'fileutils'

module Standins
  # A label printer that is not there: each sheet sent to it becomes a file in a folder.
  class LabelPrinter
    # @param folder [String] made when missing
    def initialize(folder)
      @folder = folder
    end

    # @param bytes [String] a PDF @param name [String] of the job
    # @return [String] the file written
    def print(bytes, name)
      FileUtils.mkdir_p(@folder)
      number = Dir[File.join(@folder, '*.pdf')].size + 1
      path = File.join(@folder, format('%<number>03d-%<name>s.pdf', number: number, name: name.gsub(/[^a-z0-9]+/i, '-')))
      File.binwrite(path, bytes)
      path
    end
  end
end
