# frozen_string_literal: true

require 'capybara'
require 'selenium-webdriver'
require 'tmpdir'

# Debian's Chromium without a window.
module Browser
  FLAGS = %w[--headless=new
             --no-sandbox
             --disable-gpu
             --disable-quic
             --no-first-run
             --disable-background-networking
             --disable-component-update
             --disable-sync
             --hide-scrollbars].freeze

  # Milliseconds that a script may take; axe looks long at a long page when the machine is busy.
  SCRIPT = 180_000

  def self.register(name)
    Capybara.register_driver(name) do |app|
      options = Selenium::WebDriver::Chrome::Options.new(binary: '/usr/bin/chromium', timeouts: { script: SCRIPT })
      [*FLAGS, "--user-data-dir=#{Dir.mktmpdir}"].each { |flag| options.add_argument(flag) }
      Capybara::Selenium::Driver.new(app, browser: :chrome, options: options,
        service: Selenium::WebDriver::Service.chrome(path: '/usr/bin/chromedriver'))
    end
  end

  # The window's size leaves out a title bar, so the viewport is set itself.
  def self.size(page, width, height)
    page.driver.browser.execute_cdp('Emulation.setDeviceMetricsOverride', width: width, height: height,
      deviceScaleFactor: 1, mobile: false)
  end
end
