# frozen_string_literal: true

require 'axe-rspec'
require 'capybara/rspec'
require 'tmpdir'
require_relative 'web_helper'
require_relative 'support/browser'

Capybara.server = :puma, { Silent: true, Threads: '0:4' }
Capybara.default_max_wait_time = 15
Browser.register(:studio)
Capybara.default_driver = Capybara.javascript_driver = :studio

# A studio in a file of its own, served to the one browser that all examples share.
module Browsing
  CURRENT = Struct.new(:app).new
  SERVED = ->(env) { CURRENT.app.call(env) }

  # @param sharing [Web::Sharing, nil] nil: for one person
  def open_studio(demo: true, sharing: nil)
    @studio = new_studio(path: File.join(Dir.mktmpdir, 'studio.sqlite3'), demo: demo)
    CURRENT.app = Web::App.for_studio(@studio, secret: 'x' * 64, runner: Studios::RUNNER, stages: Studios::STAGES, folder: Dir.mktmpdir,
      sharing: sharing, today: -> { Studios::TODAY })
    @studio
  end

  def press(*keys)
    page.driver.browser.action.send_keys(*keys).perform
  end

  # Opens a folded part of the page.
  def unfold(id)
    find("##{id} > summary").click
  end

  # @return [Store::Studio] of the page
  def studio
    @studio
  end

  # Types where the focus is.
  def type(text)
    page.driver.browser.action.send_keys(text).perform
  end
end

Capybara.app = Browsing::SERVED

RSpec.configure do |config|
  config.include Browsing, type: :feature
  config.before(:each, type: :feature) { Browser.size(page, 1280, 800) }
end
