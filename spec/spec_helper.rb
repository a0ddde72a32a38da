# frozen_string_literal: true

$LOAD_PATH.unshift(File.expand_path('..', __dir__))
require 'eager_bench'
EagerBench.load(:core)
require_relative 'support/samples'

RSpec.configure do |config|
  config.disable_monkey_patching!
  config.order = :random
  Kernel.srand config.seed
  config.expect_with(:rspec) { |expectations| expectations.max_formatted_output_length = 2000 }
  config.include Samples
end
