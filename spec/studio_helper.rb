# frozen_string_literal: true

require_relative 'spec_helper'
EagerBench.load(:formats, :store, :demo)

# A studio of its own for each example.
module Studios
  # @return [Store::Studio] in memory, with the library and, when asked, the demo's classes
  def new_studio(path: ':memory:', demo: true)
    studio = Store::Studio.new(path)
    Demo::Loading.library(studio)
    Demo::Loading.classes(studio) if demo
    studio
  end
end

RSpec::Matchers.define_negated_matcher :not_change, :change
RSpec.configure { |config| config.include Studios }
