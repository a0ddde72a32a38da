# frozen_string_literal: true

# One picture of each main view, from the demo.
require 'browser_helper'

FOLDER = File.join(EagerBench::ROOT, 'docs', 'screenshots')
# name => [address, the part to scroll to or what to do first, size]
VIEWS = {
  'classes' => ['/'],
  'plan' => ['/classes/1?seat=2'],
  'hang' => ['/classes/1/checks', :hang],
  'kits' => ['/classes/1/kits'],
  'variants' => ['/classes/1/variants'],
  'invitation' => ['/classes/1/invitation?more=1'],
  'evening' => ['/classes/1/evening'],
  'sample' => ['/projects/wandering_stars/sample', '.sample-form', [1280, 900]],
  'projects' => ['/projects'],
  'composer' => ['/drafts/1'],
  'techniques' => ['/techniques?class=1&to=wrapping_drop'],
  'stockroom' => ['/stockroom'],
  'fit-check' => ['/fit-check?line=0.46+mm&passes=2&line2=0.8+mm&passes2=1&hole=1.2+mm' \
                  '&reach_start=600&reach_left=360&reach_done=4&reach_number=10'],
  'course' => ['/classes/4/course?goal=project/lodestar&evenings=4&gap=7&first=2027-03-01'],
  'handout' => ['/classes/1/handouts', nil, [800, 1000]],
  'choosing' => ['/classes/1/projects'],
  'afterwards' => ['/classes/6/afterwards'],
  'learnt' => ['/techniques/learnt'],
  'live' => ['/classes/1/live', :under_way, [390, 844]]
}.freeze

# Takes them, one after the other, of one studio.
class Pictures
  include Studios
  include Browsing

  def initialize
    @session = Capybara::Session.new(:studio, Capybara.app)
    open_studio
    # The pictures show forecasts of all their runs.
    Browsing::CURRENT.app = Web::App.for_studio(studio, secret: 'x' * 64, runner: Studios::RUNNER, today: -> { Studios::TODAY })
    %w[small_comets aurora].each { |key| studio.drafts.begin(studio.projects.find(key).design) }
    sample
    invite
  end

  def take
    VIEWS.each do |name, (path, place, size)|
      teach(45) if place == :under_way
      Browser.size(@session, *(size || [1280, 800]))
      @session.visit(path)
      @session.has_no_css?('[data-poll]', wait: 60) unless size
      show(place)
      @session.save_screenshot(File.join(FOLDER, "#{name}.png"))
    end
  end

  private

  # Six flowers that came out longer and took more thread than planned.
  def sample
    design = studio.projects.find('wandering_stars').design
    made = Core::Project::Sample.new(component: 'band', units: 6, length: Core::Measure::Length.mm(52), used: Core::Measure::Length.mm(200),
      grams: 0.6, minutes: 12.0)
    sampled = design.with(samples: [made])
    studio.projects.save(Core::Sampling::Estimate.new(sampled, studio.catalogue.table, 'band').design)
  end

  # Two people answered; one wrote a size without its unit.
  def invite
    studio.invitations.open(1, closes_on: Studios::TODAY + 3, seats: 13, words: '')
    [['Odalys Reed', 171, '171 mm', { 'stringing' => :often }], ['Perrin Vale', 165, '6.5', {}]].each do |name, wrist, written, done|
      answer = Core::People::Answer.new(name: name, measure: Core::Measure::Length.mm(wrist), written: written, done: done)
      studio.invitations.answer(studio.invitations.of(1), answer, taken: 12)
    end
  end

  def show(place)
    case place
    when :hang
      @session.execute_script("[...document.querySelectorAll('h3')].find((h) => h.textContent === 'What carries it').scrollIntoView()")
    when :under_way then @session.has_text?('chance that everyone finishes', wait: 20)
    when String then @session.execute_script('document.querySelector(arguments[0]).scrollIntoView()', place)
    end
  end

  # Taps as if the first class had begun so many minutes ago.
  def teach(minutes)
    result = results_of(studio).of(1)
    now = Time.now.to_i
    events = Core::Live::SimulatedTaps.events(result.plan, result.model, now - (minutes * 60))
    studio.live_events.append_all(1, events.select { |event| event.at <= now })
  end
end

Pictures.new.take
puts "#{VIEWS.size} pictures in docs/screenshots"
