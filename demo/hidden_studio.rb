# frozen_string_literal: true

module Demo
  # A made-up studio that teaches classes, as they are tapped in Live. Its makers are quicker at some things and slower at others than is
  # planned with, differ more or less, and lose more or less: what can be learnt from its classes is known beforehand.
  class HiddenStudio
    # Spreads of logarithms with which a studio is drawn: of a technique's time, of what one class has in common, of other values.
    TECHNIQUES = 0.3
    IN_A_CLASS = 0.1
    OTHERS = 0.25
    # Millimetres by which pieces differ.
    PIECES_MM = 2.0

    attr_reader :paces, :losses, :between, :help

    # @param paces [Hash{String=>Float}] factors of techniques' times @param losses [Hash{String=>Float}] shares lost, by kind of part
    # @param between [Float] see Core::Setup::Calibration @param help [Float] see there
    # @param longer [Float, nil] millimetres by which pieces come out longer than planned; nil: nobody writes down what was measured
    def initialize(paces:, losses: {}, between: 0.15, help: 0.45, in_a_class: 0.0, longer: nil)
      @paces = paces
      @losses = losses
      @between = between
      @help = help
      @in_a_class = in_a_class
      @longer = longer
    end

    # @param techniques [Array<String>] keys @return [HiddenStudio]
    def self.draw(seed, techniques)
      random = Random.new(seed)
      new(paces: techniques.to_h { |key| [key, log_normal(random, TECHNIQUES)] }, between: 0.15 * log_normal(random, OTHERS),
        help: 0.45 * log_normal(random, OTHERS), in_a_class: IN_A_CLASS)
    end

    # @return [Float] about 1
    def self.log_normal(random, spread)
      Math.exp(spread * Core::Session::Spread.normal(random.rand(0.0005..0.9995)))
    end

    # @param inputs [Core::Planning::Inputs] of a class as it is planned @param run [Integer] which evening of those that could be
    # @return [Array<Core::Live::Event>] as it went
    def teach(inputs, run: 0)
      plan = inputs.plan
      day = inputs.workshop.date
      began = Time.utc(day.year, day.month, day.day).to_i + (inputs.workshop.start.minutes * 60)
      taps = Core::Live::SimulatedTaps.events(plan, model(inputs, plan), began, run: run, paces: on_the_day(run), losses: losses,
        calls: true)
      @longer ? taps + measured(plan, taps, Random.new(run)) : taps
    end

    # @param inputs [Core::Planning::Inputs] @return [Core::Session::Model, Core::Session::Impossible] with what is true of this studio
    def model(inputs, plan = inputs.plan)
      found = Core::Session::Modelling.new(plan, inputs.calibration.with(between: between, help: help)).model
      # What an evening has in common is drawn here.
      found.is_a?(Core::Session::Impossible) ? found : found.with(together: 0.0)
    end

    private

    # Each piece, before its last step.
    def measured(plan, taps, random)
      taps.select { |tap| tap.kind == :next }.group_by(&:person).map do |key, own|
        off = @longer + (PIECES_MM * Core::Session::Spread.normal(random.rand(0.01..0.99)))
        inside = Core::Measure::Length.mm((plan.person(key).piece.inside.to_mm + off).round)
        Core::Live::Event.new(key: "m#{key.rjust(23, '0')}", kind: :measured, at: own.last(2).first.at, person: key, detail: inside.to_s)
      end
    end

    def on_the_day(run)
      evening = HiddenStudio.log_normal(Random.new(run), @in_a_class)
      paces.transform_values { |pace| pace * evening }
    end
  end
end
