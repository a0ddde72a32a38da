# frozen_string_literal: true

# A whole evening in the browser, as a person teaches it: Live on a window of a telephone's size and on a second device, with people who do
# not come, come late and leave early, a row that is too short, lost and bad parts, a sign; the server is killed once, and once the first
# device loses its connection. The taps come from the simulated evening of the class; the devices' clock is moved on with them. Prints
# what was tapped, how quickly a tap showed, what was kept, and what the next class plans with.
# Run: bundle exec ruby -I. bench/whole_evening.rb [folder for pictures]
require 'capybara/dsl'
require 'tmpdir'
require_relative 'support'
require_relative 'hostile'
require_relative '../spec/support/browser'

# Devices at the table.
class WholeEvening
  include Capybara::DSL

  # Of the class's people: who does what, by attendee key.
  AWAY, LATE, LEAVES = '3', '5', '8'
  LATE_MINUTE = 12
  LEAVES_MINUTE = 70
  # Shares of the taps after which the server is killed, or the first device cut off, and how many taps are made before it is back.
  CUTS = { kill: 0.25, cut: 0.6 }.freeze
  WITHOUT = 6
  HOURS_AGO = 4
  PATIENCE = 60

  def initialize(pictures)
    @pictures = pictures
    @folder = Dir.mktmpdir
    @shown = []
    @taps = Hash.new(0)
  end

  def call
    prepare
    open_devices
    teach
    end_class
    next_class
  rescue StandardError
    picture('failed')
    puts "failed after #{@taps}, without #{@without.inspect}, late #{@arrived}, left #{@left}"
    raise
  ensure
    Process.kill(:KILL, @server) if @server
    page.driver.quit
  end

  private

  # The class is today; its start lies back by so much that none of its taps is in the future.
  def prepare
    @start = Time.at(((Time.now.to_i - (HOURS_AGO * 3600)) / 60) * 60)
    studio = Bench.studio(File.join(@folder, 'studio.sqlite3'))
    studio.classes.edit(1, studio.classes.find(1).revision, 'bench') do |state|
      state.with(workshop: state.workshop.with(date: @start.to_date,
        start: Core::Measure::ClockTime.parse(@start.strftime('%H:%M'))))
    end
    result = Bench.results(studio).of(1)
    @names = result.plan.people.to_h { |one| [one.attendee.key, one.attendee.name] }
    @steps = result.plan.people.to_h { |one| [one.attendee.key, one.tasks.size] }
    @events = Core::Live::SimulatedTaps.events(result.plan, result.model, @start.to_i, run: 7).select { |event| event.kind == :next }
    studio.close
  end

  def open_devices
    @server, @port = Hostile::Stops.serve(@folder)
    Browser.register(:phone)
    Capybara.default_driver = :phone
    Capybara.default_max_wait_time = PATIENCE
    Capybara.app_host = "http://127.0.0.1:#{@port}"
    Capybara.run_server = false
    clock = 'Date.now = () => Number(localStorage.getItem("evening-clock")) || performance.timeOrigin + performance.now();'
    page.driver.browser.execute_cdp('Page.addScriptToEvaluateOnNewDocument', source: clock)
    Browser.size(page, 390, 844)
    visit '/classes/1/live'
    at(@start.to_i)
    [AWAY, LATE].each { |key| tap('Not here', key) }
    click_on 'Start the class'
    has_button?("Next: #{@names['1']}") || raise('The class did not start')
    page.document.synchronize(PATIENCE) { kept? || raise(Capybara::ElementNotFound, 'not kept on the device yet') }
    @first = current_window
    @second = open_new_window
    within_window(@second) do
      page.driver.browser.execute_cdp('Page.addScriptToEvaluateOnNewDocument', source: clock)
      visit '/classes/1/live'
    end
    picture('start')
  end

  def kept?
    evaluate_async_script('const done = arguments[0]; caches.match(window.location.pathname).then((kept) => done(Boolean(kept)))')
  end

  # The second device taps for every third person, while it has a server.
  def teach
    cuts = CUTS.transform_values { |share| (@events.size * share).round }
    made = 0
    place = Hash.new(0)
    @events.each do |event|
      minute = (event.at - @start.to_i) / 60.0
      arrive if minute >= LATE_MINUTE && !@arrived
      leave if minute >= LEAVES_MINUTE && !@left
      next if event.person == AWAY || (event.person == LATE && !@arrived) || (event.person == LEAVES && @left)
      next if (place[event.person] += 1) > @steps.fetch(event.person)

      made += 1
      begin_cut(cuts.key(made)) if cuts.value?(made)
      at(event.at)
      within_window((event.person.to_i % 3).zero? && @without != :kill ? @second : @first) { next_step(event.person) }
      @without ? end_cut_after(WITHOUT) : extras(made)
    end
    end_cut if @without
  end

  def begin_cut(kind)
    @without = kind
    @alone = 0
    return network(offline: true) if kind == :cut

    Process.kill(:KILL, @server)
    Process.wait(@server)
  end

  def end_cut_after(taps)
    end_cut if (@alone += 1) == taps
  end

  def end_cut
    picture("without-#{@without}")
    visit current_path
    began = now
    @without == :cut ? network(offline: false) : (@server, = Hostile::Stops.serve(@folder, port: @port))
    up = now
    page.document.synchronize(PATIENCE) do
      waiting = evaluate_script("Object.keys(localStorage).filter((name) => name.startsWith('eager-bench-tap:')).length")
      waiting.zero? || raise(Capybara::ElementNotFound, 'taps still wait')
    end
    puts format('%<kind>s: back after %<back>.1f s, all taps sent %<sent>.1f s later', kind: @without, back: up - began, sent: now - up)
    @without = nil
  end

  def network(offline:)
    page.driver.browser.execute_cdp('Network.enable')
    page.driver.browser.execute_cdp('Network.emulateNetworkConditions', offline: offline, latency: 0, downloadThroughput: -1,
      uploadThroughput: -1)
  end

  def now
    Process.clock_gettime(Process::CLOCK_MONOTONIC)
  end

  def arrive
    @arrived = true
    at(@start.to_i + (LATE_MINUTE * 60))
    tap('Is here', LATE)
  end

  def leave
    @left = true
    fold(LEAVES)
    tap('Has left', LEAVES)
  end

  # What else happens on an evening: a short row, parts lost and bad, a sign.
  def extras(number)
    case number
    when 20 then in_fold('1') { click_on "Lost or spoiled: #{@names['1']}" } && count(:spare)
    when 22, 24, 26 then in_fold('2') { click_on "The part is no good: #{@names['2']}" } && count(:reject)
    when 40 then in_fold('4') { first('.live-signs .btn', minimum: 0)&.click } && count(:problem)
    end
    measure_short unless @measured
  end

  def measure_short
    card = all('.live-card', minimum: 0).find { |one| one.has_field?('Measured', wait: 0) } or return
    @measured = true
    within(card) do
      fill_in 'Measured', with: '140'
      find('.live-measure .btn', match: :first).click
      @advice = find('.live-advice').text
    end
    count(:measured)
    picture('short-row')
  end

  # Whether the card moved is looked at in the same turn in which the tap was made.
  def next_step(person)
    find_button("Next: #{@names[person]}")
    took = evaluate_script(<<~JS)
      (() => { const card = document.getElementById('card-#{person}'); const before = card.dataset.place; const began = performance.now();
        card.querySelector('[data-long-press]').click(); return card.dataset.place === before ? -1 : performance.now() - began; })()
    JS
    @shown << took
    count(:next)
  end

  def end_class
    at(@events.last.at + 60)
    find('#end-fold summary').click unless has_css?('#end-fold[open]', wait: 0)
    picture('end')
    click_on 'End it now'
    has_text?('The class has ended') || raise('The class did not end')
  end

  # What the class teaches, and the next month's class.
  def next_class
    visit '/techniques/learnt'
    has_css?('.lessons', wait: PATIENCE * 4)
    picture('learned')
    click_on 'Use all that was learnt'
    used = find('.notice').text
    studio = Store::Studio.new(File.join(@folder, 'studio.sqlite3'))
    kept = studio.live_events.of(1)
    puts "taps made: #{@taps}"
    puts "taps kept: #{kept.map(&:kind).tally}"
    puts "next taps kept of those made: #{kept.count { |event| event.kind == :next }} of #{@taps[:next]}"
    sorted = @shown.reject(&:negative?).sort
    puts format('a tap showed after %.1f ms at p95 (%d of %d at once)', sorted[(sorted.size * 0.95).floor], sorted.size, @shown.size)
    puts "advice for the short row: #{@advice}"
    puts "learned: #{used}"
    puts "calibration: help #{studio.settings.calibration.help}, losses #{studio.settings.calibration.losses}, " \
         "rejects #{studio.settings.calibration.rejects}"
    studio.close
    visit '/classes/1/afterwards'
    click_on 'Repeat this class'
    puts "next class: #{current_path}, #{first('h1').text}"
    picture('next')
  end

  def at(seconds)
    execute_script("localStorage.setItem('evening-clock', '#{seconds * 1000}')")
  end

  def fold(person)
    return if has_css?("#trouble-#{person}[open]", wait: 0)

    find("#trouble-#{person} summary").click
  end

  def in_fold(person, &block)
    fold(person)
    within("#card-#{person}", &block)
    true
  end

  def tap(words, person)
    click_on "#{words}: #{@names[person]}"
    has_no_button?("#{words}: #{@names[person]}") || raise("#{words} did not show")
    count(words)
  end

  def count(what)
    @taps[what] += 1
  end

  def picture(name)
    page.driver.save_screenshot(File.join(@pictures, "#{name}.png")) if @pictures
  end
end

WholeEvening.new(ARGV[0]).call
