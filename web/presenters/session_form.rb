# frozen_string_literal: true

module Web
  module Presenters
    # How one class runs, as typed. Only the fields that were sent are changed.
    class SessionForm
      include Fields

      C = Core::Session::Running
      WHOLE = {
        assistants: C::ASSISTANTS,
        stagger: C::STAGGER,
        break_at: C::BREAK_AT,
        break_minutes: C::BREAK_MINUTES,
        late: C::LATE,
        late_minutes: C::LATE_MINUTES,
        target: C::TARGET
      }.freeze
      MONEY = %i[assistant_hour tool_hire].freeze

      # @param minutes [Integer] of the class
      def initialize(studio, params, minutes)
        @minutes = minutes
        @currency = studio.market.all.currency
        @tools = studio.catalogue.table.tools
        @values = [*WHOLE.keys, *MONEY, :demonstrations, :poor_light, :fixed_end].select { |name|
          params[name.to_s].is_a?(String)
        }.to_h { |name| [name.to_s, clean(params[name.to_s])] }
        @more = params['more_tools'].is_a?(Hash) ? params['more_tools'].select { |key, text| @tools.key?(key) && text.is_a?(String) } : {}
        @errors = @values.keys.to_h { |name| [name.to_sym, problem(name.to_sym)] }.compact
      end

      # @return [Store::ClassState]
      def apply(state)
        session = state.workshop.session
        more = session.more_tools.merge(@more.select { |_, text| text.match?(/\A\d{1,2}\z/) && C::MORE.cover?(text.to_i) }.transform_values(&:to_i)).reject { |_, number| number.zero? }
        state.with(workshop: state.workshop.with(session: session.with(**@values.keys.map(&:to_sym).to_h { |name|
          [name, read(name)]
        }, more_tools: more)))
      end

      private

      def read(name)
        case name
        when :demonstrations then value(name).to_sym
        when :poor_light, :fixed_end then value(name) == '1'
        when *MONEY then Core::Money.parse(value(name), @currency).minor
        else value(name).to_i
        end
      end

      def problem(name)
        if name == :break_at && value(name).match?(/\A\d{1,3}\z/) && value(name).to_i >= @minutes then "The class lasts #{@minutes} minutes. Give a break before its end, or 0 for none."
        elsif (range = WHOLE[name]) then "Give a whole number from #{range.begin} to #{range.end}." unless value(name).match?(/\A\d{1,3}\z/) && range.cover?(value(name).to_i)
        elsif MONEY.include?(name) then 'Give an amount such as 12.50, not below zero.' unless Core::Money.parse(value(name),
          @currency)&.minor&.between?(
          0, SupplyForm::MOST_MINOR
        )
        elsif name == :demonstrations then 'Choose one of the list.' unless C::DEMONSTRATIONS.map(&:to_s).include?(value(name))
        end
      end
    end
  end
end
