# frozen_string_literal: true

module Formats
  # Lengths as they are shown, so that what is shown adds up to the total that is shown: each is rounded, and what is left over goes to
  # those that were rounded furthest the other way (largest remainders; Hamilton's method of apportionment).
  module LengthSum
    GRID = { mm: Core::Measure::Length.mm(Rational(1, 10)), in: LengthPrint::SIXTEENTH }.freeze

    module_function

    # @param parts [Array<Core::Measure::Length>] with their signs @param total [Core::Measure::Length] their sum @param unit [Symbol] :mm
    # or :in
    # @return [Array<Core::Measure::Length>]
    def shown(parts, total, unit)
      grid = GRID.fetch(unit)
      exact = parts.map { |part| part / grid }
      rounded = exact.map(&:round)
      over = rounded.sum - (total / grid).round
      nearest = exact.each_index.sort_by { |i| (rounded[i] - exact[i]) * (over.positive? ? -1 : 1) }
      nearest.reject { |i| parts[i].zero? }.first(over.abs).each { |i| rounded[i] -= over.positive? ? 1 : -1 }
      rounded.map { |number| grid * number }
    end

    # @param terms [Array<Core::Making::Term>] of a working
    # @return [Array<(Core::Making::Term, Core::Measure::Length)>] each with the length to show; nil for those without one
    def working(terms, unit)
      start = nil
      terms.slice_after { |term| term.operation == :equals }.flat_map do |run|
        shown = run(run, start, unit)
        start = shown.last.last
        shown
      end
    end

    # From one total to the next. What is made adds up by itself; across turns nothing can be shared out.
    def run(terms, start, unit)
      added = terms.select { |term| term.operation == :part }
      added = terms[0...-1].select { |term| %i[start plus minus].include?(term.operation) } if added.empty?
      added_up = terms.last.operation == :equals && terms.none? { |term| %i[times shared].include?(term.operation) }
      return terms.map { |term| [term, term.length] } unless added_up

      signed = added.map { |term| term.operation == :minus ? term.length * -1 : term.length }
      from = added.any? { |term| %i[start part].include?(term.operation) } ? Core::Measure::Length::ZERO : start
      shown = shown(signed, on_grid(terms.last.length, unit) - on_grid(from, unit), unit)
      amounts = added.zip(shown).each_with_object({}.compare_by_identity) { |(term, length), all| all[term] = length }
      terms.map { |term| [term, amounts.key?(term) ? amounts[term].abs : term.length] }
    end

    def on_grid(length, unit)
      GRID.fetch(unit) * (length / GRID.fetch(unit)).round
    end
    private_class_method :run, :on_grid
  end
end
