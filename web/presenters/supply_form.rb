# frozen_string_literal: true

module Web
  module Presenters
    # What is chosen for one class about materials and money. Only the fields that were sent are changed.
    class SupplyForm
      include Fields

      C = Core::Supply::Provision
      TEXTS = %i[confidence extra_kits venue tools_share hour around_minutes margin rounding].freeze
      CHOICES = { spares: C::SPARES, extra_size: C::SIZES, off_reel: %i[0 1], fill_up: %i[0 1], reels: C::REELS }.freeze
      WHOLE = { confidence: C::CONFIDENCES, extra_kits: (0..C::MOST_EXTRA), around_minutes: (0..1440), margin: (0..80) }.freeze
      MONEY = %i[venue tools_share hour rounding].freeze
      MOST_MINOR = 10_000_000

      def initialize(studio, params)
        @currency = studio.market.all.currency
        @lines = studio.catalogue.table.lines
        @values = [*TEXTS, *CHOICES.keys].select { |name|
          params[name.to_s].is_a?(String)
        }.to_h { |name| [name.to_s, clean(params[name.to_s])] }
        @tails = by_line(params['tails'])
        @cut = by_line(params['cut'])
        @errors = @values.keys.to_h { |name| [name.to_sym, problem(name.to_sym)] }.compact
      end

      # @param state [Store::ClassState] @return [Store::ClassState]
      def apply(state)
        supply = state.workshop.supply
        state.with(workshop: state.workshop.with(supply: supply.with(**changes,
          tails_by_line: chosen(@tails, supply.tails_by_line, Core::Construction::Tails::POLICIES),
          cut_by_line: chosen(@cut, supply.cut_by_line, C::WAYS))))
      end

      private

      def changes
        @values.keys.map(&:to_sym).to_h { |name| [name, read(name)] }
      end

      def by_line(given)
        given.is_a?(Hash) ? given.select { |line, choice| @lines.key?(line) && choice.is_a?(String) } : {}
      end

      # An empty choice goes back to what holds for all.
      def chosen(given, before, known)
        given.reduce(before) { |all, (line, choice)| known.map(&:to_s).include?(choice) ? all.merge(line => choice.to_sym) : all.except(line) }
      end

      def read(name)
        case name
        when :off_reel, :fill_up then value(name) == '1'
        when *CHOICES.keys then value(name).to_sym
        when *MONEY then Core::Money.parse(value(name), @currency).minor
        else value(name).to_i
        end
      end

      def problem(name)
        if CHOICES.key?(name) then 'Choose one of the list.' unless CHOICES[name].map(&:to_s).include?(value(name))
        elsif MONEY.include?(name) then money_problem(name)
        else
          range = WHOLE.fetch(name)
          "Give a whole number from #{range.begin} to #{range.end}." unless value(name).match?(/\A\d{1,6}\z/) && range.cover?(value(name).to_i)
        end
      end

      def money_problem(name)
        money = Core::Money.parse(value(name), @currency)
        return if money && money.minor.between?(name == :rounding ? 1 : 0, MOST_MINOR)

        'Give an amount such as 40 or 12.50, not below zero.'
      end
    end
  end
end
