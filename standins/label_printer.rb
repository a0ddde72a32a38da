# frozen_string_literal: true

module Standins
  # A label printer that is not there: each sheet sent to it becomes a file.
  class LabelPrinter
    MOST = 20

    # @param folder [#put] where the sheets go
    def initialize(folder)
      @folder = folder
    end

    # @param bytes [String] a PDF @param name [String] of the job @param job [String] printed once, however often it is sent
    # @return [String] the file written
    def print(bytes, name, job)
      @folder.put("#{name.gsub(/[^a-z0-9]+/i, '-')}-#{job[0, 8]}.pdf", bytes)
    end
  end
end
