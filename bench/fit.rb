# frozen_string_literal: true

# All fit checks of a class of 24 (aim: under 20 ms) and one answer of the gauge page (aim: under 50 ms).
# Run: bundle exec ruby --yjit -I. bench/fit.rb
require_relative 'support'
require 'rack/mock'
EagerBench.load(:standins, :web)

studio = Bench.studio
%w[comet_tail milky_veil eclipse_not].each do |key|
  plan = Bench.inputs(studio, project: studio.projects.find(key).design).plan
  check = lambda do
    rules = Core::Fit::Check.new(studio.catalogue.table)
    plan.people.select(&:fitted?).each do |person|
      rules.piece(person.piece)
      rules.person(person.attendee, person.piece, %i[cutting cement], plan.design)
    end
  end
  10.times { check.call }
  puts "fit of 24 people, #{key.ljust(14)} #{Bench.summary(Bench.milliseconds(50) { check.call })}"
end

browser = Rack::MockRequest.new(Web::App.for_studio(studio, secret: 'x' * 64, runner: Application::Work::Runner.new))
{ 'equal lines' => 'line=0.38+mm&passes=6', 'unequal lines' => 'line=0.3+mm&passes=3&line2=0.5+mm&passes2=2' }.each do |name, question|
  ask = -> { browser.get("/fit-check?#{question}&hole=2+mm", 'HTTP_HOST' => '127.0.0.1').status == 200 or raise 'no answer' }
  10.times { ask.call }
  puts "fit check, #{name.ljust(14)} #{Bench.summary(Bench.milliseconds(50) { ask.call })}"
end
