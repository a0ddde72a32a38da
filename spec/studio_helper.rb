# frozen_string_literal: true

require_relative 'spec_helper'
require 'fileutils'
require 'tmpdir'
EagerBench.load(:formats, :store, :demo)

# A studio of its own for each example.
module Studios
  # @return [Store::Studio] in a file of its own, with the library and, when asked, the demo's classes
  def new_studio(path: File.join(Dir.mktmpdir, 'studio.sqlite3'), demo: true)
    FileUtils.cp(Studios.filled(demo), path) unless File.exist?(path)
    Store::Studio.new(path)
  end

  # Filled once, then copied.
  # @return [String] the file
  def self.filled(demo)
    (@filled ||= {})[demo] ||= begin
      path = File.join(Dir.mktmpdir, 'studio.sqlite3')
      studio = Store::Studio.new(path)
      Demo::Loading.library(studio)
      Demo::Loading.classes(studio) if demo
      studio.database.run('PRAGMA wal_checkpoint(TRUNCATE)')
      studio.database.disconnect
      path
    end
  end
end

RSpec::Matchers.define_negated_matcher :not_change, :change
RSpec.configure { |config| config.include Studios }
