# frozen_string_literal: true

module Formats
  # Versions of a class's project against the planned one, as JSON: the ways that there are, and what chosen ones change.
  class VariantsDocument
    # @param inputs [Core::Planning::Inputs] @param market [Core::Supply::Market] @param stock [Core::Supply::Stock]
    def initialize(inputs, market, stock)
      @inputs = inputs.with(table: taught(inputs.table))
      @market = market
      @stock = stock
    end

    # @return [Hash{String=>Core::Fit::Cures::SetWay}] other ways than the planned ones, by key
    def ways
      @ways ||= choices.flat_map { |choice| choice.ways.reject(&:chosen).map { |way| [way.cure.key, way.cure] } }.to_h
    end

    # @param asked [Array<String>] keys, those of one version joined by "+"; of none, each way by itself
    # @return [Hash]
    def to_data(asked)
      versions = (asked.empty? ? ways.keys : asked).map { |text| text.split('+') }
      { 'format' => 'eager-bench.variants', 'version' => 1, 'planned' => version([]), 'variants' => versions.map { |keys| version(keys) } }
    end

    # @return [Array<String>] keys that name no way
    def unknown(asked)
      asked.flat_map { |text| text.split('+') } - ways.keys
    end

    private

    # A class file brings the techniques of its own steps; other ways ask for what constructions bring.
    def taught(table)
      brought = Core::Construction::Kinds.techniques.to_h { |technique| [technique.key, technique] }
      table.with(techniques: brought.merge(table.techniques))
    end

    def plan
      @plan ||= @inputs.plan
    end

    def choices
      person = plan.people.find(&:fitted?) or return []
      remedies = Core::Advice::Remedies.new(plan, @inputs.table, open_rings: @inputs.open_rings)
      Core::Advice::Choices.new(plan, remedies, @inputs.calibration).for(person.attendee) { true }
    end

    def version(keys)
      variant = Core::Comparison::Variant.of(@inputs, ways.values_at(*keys), @market, @stock)
      return { 'ways' => keys, 'built' => false } unless variant.built?

      { 'ways' => keys, 'built' => true, 'chance' => variant.suits.chance, 'seat' => variant.suits.seat&.to_s,
        'work_minutes' => variant.minutes.minmax.map { |minutes| minutes&.round(1) }, 'far_off' => variant.far_off,
        'larger_mm' => variant.larger.minmax.map { |length| length&.to_mm&.round(2) },
        'parts' => variant.parts.to_h { |part, more| [part.key, more] },
        'lines_mm' => variant.lines.to_h { |line, more| [line.key, more.to_mm.round(1)] },
        'new_techniques' => variant.fresh.map(&:key), 'gone_techniques' => variant.gone.map(&:key) }
    end
  end
end
