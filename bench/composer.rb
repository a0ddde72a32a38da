# frozen_string_literal: true

# How long one change in the composer takes, from request to redrawn sections, for a pattern of 200 beads. Aim: p95 under 100 ms.
# Run: bundle exec ruby --yjit -I. bench/composer.rb
require_relative 'support'
require 'rack/mock'
EagerBench.load(:standins, :web)

studio = Bench.studio
design = studio.projects.find('milky_veil').design
edit = Core::Project::Edit.new(design)
place = Core::Project::Edit::Place.parse('front.pattern.0')
wide = edit.set('front', 'strands' => 1, 'pattern' => [{ 'repeat' => [{ 'part' => 'seed_8_frost' }], 'fill' => true }])
id = studio.drafts.begin(wide)
piece = Core::Sizing::Blueprint.new(wide, studio.catalogue.table).fit_usual
app = Web::App.for_studio(studio, secret: 'x' * 64, runner: Application::Work::Runner.new)
browser = Rack::MockRequest.new(app)
first = browser.get("/drafts/#{id}", 'HTTP_HOST' => '127.0.0.1')
cookie = first['set-cookie'].split(';').first
token = first.body[/name="authenticity_token" value="([^"]+)"/, 1]
steps = %w[more fewer].cycle
change = lambda do
  answer = browser.post("/drafts/#{id}", 'HTTP_HOST' => '127.0.0.1', 'HTTP_COOKIE' => cookie, 'HTTP_X_REDRAW' => '1',
    params: { 'authenticity_token' => token, 'do' => steps.next, 'at' => "#{place}.0" })
  raise "answered #{answer.status}" unless answer.status == 200
end
20.times { change.call }
puts "one change, #{piece.layout.count { |shape| shape.role == :bead }} beads: #{Bench.summary(Bench.milliseconds(100) { change.call })}"
