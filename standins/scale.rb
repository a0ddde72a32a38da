# frozen_string_literal: true

module Standins
  # A small scale that is not there: readings with noise, in steps of 10 mg, and a tare that a dish would have. The same seed
  # gives the same readings. An application that weighs in reads it as it would a real one.
  class Scale
    STEP_MG = 10
    NOISE_MG = 14.0

    # @param load_mg [Integer] what truly lies on it @param dish_mg [Integer] the empty dish's weight
    def initialize(load_mg:, seed:, dish_mg: 18_400)
      @load = load_mg
      @dish = dish_mg
      @random = Random.new(seed)
      @tare = 0
    end

    # Takes what lies on it now, the empty dish, as zero.
    def tare
      @tare = steady(@dish)
    end

    # @return [Array<Integer>] milligrams shown one after the other with the load in the dish
    def readings(number = 5)
      Array.new(number) { steady(@dish + @load) - @tare }
    end

    private

    # Sum of twelve uniform draws less six is as good as normal (central limit theorem).
    def steady(milligrams)
      noise = (Array.new(12) { @random.rand }.sum - 6) * NOISE_MG
      ((milligrams + noise) / STEP_MG).round * STEP_MG
    end
  end
end
