# frozen_string_literal: true

module Web
  module Presenters
    # What is chosen for one class about its steps. Only the fields that were sent are changed.
    class TeachingForm
      include Fields

      C = Core::Technique::Teaching
      LONGEST = 300

      # @param steps [Array<Construction::StepUse>] of the class @param techniques [Hash{String=>Skill}]
      def initialize(params, steps, techniques)
        @values = %w[practice shorter extra extra_text extra_minutes school].select { |name|
          params[name].is_a?(String)
        }.to_h { |name| [name, clean(params[name])] }
        @prepared = levels(params['prepared'], steps.select(&:preparable).map(&:key))
        @easier = levels(params['easier'], techniques.values.select(&:easier).map(&:key))
        @errors = @values.keys.to_h { |name| [name.to_sym, problem(name)] }.compact
      end

      # @return [Store::ClassState]
      def apply(state)
        teaching = state.workshop.teaching
        changed = @values.to_h { |name, text| [name.to_sym, read(name, text)] }
        state.with(workshop: state.workshop.with(teaching: teaching.with(**changed, prepared: merged(teaching.prepared, @prepared),
          easier: merged(teaching.easier, @easier))))
      end

      private

      # Levels 0 to 5 by key; what names nothing of the class is left out.
      def levels(given, known)
        given.is_a?(Hash) ? given.select { |key, level|
          known.include?(key) && level.to_s.match?(/\A[0-5]\z/)
        }.transform_values(&:to_i) : {}
      end

      def merged(before, chosen)
        before.merge(chosen).reject { |_, level| level.zero? }
      end

      def read(name, text)
        case name
        when 'practice' then text == '1'
        when 'extra_text' then text
        when 'school' then C::SCHOOLS.find { |school| school.to_s == text }
        else text.to_i
        end
      end

      def problem(name)
        range = { 'shorter' => C::LEVELS, 'extra' => C::EXTRA, 'extra_minutes' => C::EXTRA_MINUTES }[name]
        if range then "Give a whole number from #{range.begin} to #{range.end}." unless value(name).match?(/\A\d{1,3}\z/) && range.cover?(value(name).to_i)
        elsif name == 'school' then ('Choose from the list.' unless C::SCHOOLS.map(&:to_s).include?(value(name)))
        elsif name == 'extra_text' && value(name).length > LONGEST then "Shorten this to #{LONGEST} characters."
        end
      end
    end
  end
end
