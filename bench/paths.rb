# frozen_string_literal: true

# The ways a person goes most often, pressed and typed in the browser as they would, each press or field counted:
#   evening   from an empty studio, with an untidy list of people, to printed handouts; aim 15
#   bracelet  from an empty composer to a two-colour bracelet with a pendant at its middle; aim 14
#   stock     a part receives, is weighed and gets a price; aim 8
# Run: bundle exec ruby -I. bench/paths.rb [folder for pictures]
require 'capybara/dsl'
require 'tmpdir'
require_relative 'support'
require_relative 'hostile'
require_relative '../spec/support/browser'

# Presses and fields, counted.
class Paths
  include Capybara::DSL

  PEOPLE = <<~LIST
    First name;wrist;lvl;Hand;Allergies;remarks
    Ottilie Brandvold;16,5 cm;2;R;;
    Casimir Nwosu;185;3;L;nickel;comes by bus
    Perpetua Lind;n/a;beginner;;;asks for good light
    Emeka Thorsen;6 1/2 in;4;R;;
    Wilhelmina Ashgrove-Okafor;not measured;1;;;
  LIST

  def initialize(pictures)
    @pictures = pictures
    Browser.register(:desk)
    Capybara.default_driver = :desk
    Capybara.default_max_wait_time = 60
    Capybara.run_server = false
  end

  def call
    { evening: 15, bracelet: 14, stock: 8 }.each do |name, aim|
      @number = 0
      @told = []
      began = Process.clock_gettime(Process::CLOCK_MONOTONIC)
      served(name) { send(name) }
      seconds = Process.clock_gettime(Process::CLOCK_MONOTONIC) - began
      puts format('%<name>-9s %<number>2d (aim %<aim>d), %<seconds>.0f s with the start of the studio: %<told>s', name: name,
        number: @number, aim: aim, seconds: seconds, told: @told.join(' · '))
    end
  ensure
    page.driver.quit
  end

  private

  def served(name)
    folder = Dir.mktmpdir
    studio = Store::Studio.new(File.join(folder, 'studio.sqlite3'))
    Demo::Loading.library(studio)
    supplier(studio) if name == :stock
    studio.close
    pid, port = Hostile::Stops.serve(folder)
    Capybara.app_host = "http://127.0.0.1:#{port}"
    Browser.size(page, 1280, 800)
    visit '/'
    yield
    page.driver.save_screenshot(File.join(@pictures, "path-#{name}.png")) if @pictures
  rescue StandardError
    page.driver.save_screenshot(File.join(@pictures, "path-#{name}.png")) if @pictures
    raise
  ensure
    Process.kill(:KILL, pid) if pid
  end

  def count(words)
    @number += 1
    @told << words
  end

  def press(words, **options)
    count(words)
    click_on words, match: :first, **options
  end

  def type(field, words)
    count("#{field}: …")
    fill_in field, with: words
  end

  # Typed tabs would leave the field.
  def paste(field, words)
    count("#{field}: pasted")
    execute_script('arguments[0].value = arguments[1]', find_field(field), words)
  end

  def choose_from(field, option)
    count("#{field}: #{option}")
    select option, from: field, match: :first
  end

  def evening
    press 'New class'
    type 'Title', 'First stars'
    type 'Date', Date.today + 10
    paste 'People, if you have a list', PEOPLE.tr(';', "\t")
    press 'Make the class'
    press 'Add 5 people'
    has_css?('th, .suited', text: 'Everyone finishes') && has_button?('Make this')
    press 'Make this'
    press 'Print'
    press 'Handouts'
    has_css?('.handout', count: 5) || raise('no handouts')
  end

  def bracelet
    press 'Projects'
    press 'New project'
    type 'Name', 'Two Dusks'
    press 'Open the composer'
    chip('1 × D')
    part('8 mm round, ember red glass')
    count('hangs from a ring at the middle')
    choose 'hangs from a ring at the middle'
    part('18 mm drop, star blue glass')
    press 'Save the project'
    has_text?('saved as version 1') || raise('not saved')
  end

  def chip(words)
    count(words)
    find('#compose-patterns .chip', text: words).click
    has_css?('.chip[aria-current]', text: words) || raise('not chosen')
  end

  def part(name)
    count(name)
    find('.palette-part', text: name).click
    has_css?('#compose-count', text: name.split(',').first) || raise("no #{name}")
  end

  # A price belongs to a supplier.
  def supplier(studio)
    none = Core::Money.zero(studio.settings.currency)
    studio.market.save_supplier(Core::Supply::Supplier.new(key: 'stall', name: 'Bead stall', delivery: none, minimum: none))
  end

  def stock
    press 'Stockroom'
    press 'stock and prices of 6 mm round, frosted clear glass'
    type 'How many (weighed: grams)', '40'
    press 'Save'
    type 'How much in a pack', '50'
    type 'Price, EUR', '4.20'
    press 'Save the price'
    has_text?('4.20 EUR') || raise('no price')
  end
end

Paths.new(ARGV[0]).call
