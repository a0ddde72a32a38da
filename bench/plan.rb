# frozen_string_literal: true

# How long a plan for 24 people takes in process, for every project of the library. Aim: under 30 ms for a strung bracelet, under 60 ms
# for any.
# Run: bundle exec ruby --yjit -I. bench/plan.rb
# With the heap that bin/start asks for: RUBY_GC_HEAP_INIT_SLOTS=660000 RUBY_GC_HEAP_FREE_SLOTS=150000 in front.
require_relative 'support'

studio = Bench.studio
studio.projects.newest.each do |saved|
  inputs = Bench.inputs(studio, project: saved.design)
  20.times { inputs.plan }
  puts "#{saved.design.name.ljust(28)} #{Bench.summary(Bench.milliseconds(60) { inputs.plan })}"
end
