# frozen_string_literal: true

module Web
  module Presenters
    # What is set less often about an attendee: their own ease and tails, the tools they bring, and what they have done.
    class PersonMoreForm < Form
      def initialize(studio, params)
        table = studio.catalogue.table
        techniques = table.techniques.keys
        done = %w[times last].to_h { |name| [name, beside(params[name], techniques)] }
        super({ 'ease' => clean(params['ease'])[0, 40], **done }, Contracts::PersonMoreContract.new)
        @brings = table.tools.keys & (params['brings'].is_a?(Array) ? params['brings'].grep(String) : [])
        @tails = Core::Ends::Tails::POLICIES.find { |policy| policy.to_s == params['tails'] }
      end

      # @return [Core::People::Attendee]
      def apply(attendee)
        attendee.with(ease: ease(attendee.ease), brings: @brings, tails: @tails, experience: experience(attendee.experience))
      end

      # @return [Draft]
      def draft
        done = %w[times last].flat_map { |name| value(name).map { |technique, text| ["#{name}_#{technique}", text] } }.to_h
        Draft.new(values: { 'ease' => value(:ease), 'brings' => @brings.join(' '), 'tails' => @tails.to_s, **done }, errors: errors)
      end

      private

      # Empty takes the project's ease; what was shown rounded and not touched stays exact.
      def ease(before)
        return before if before && Formats::LengthPrint.printed?(value(:ease), before)

        Core::Measure::Length.parse(value(:ease), default_unit: :mm) unless value(:ease).empty?
      end

      # Nothing typed, or no times, takes it out again.
      def experience(before)
        value(:times).reduce(before) do |all, (technique, times)|
          next all.except(technique) if times.to_i.zero?

          all.merge(technique => Core::People::Experience.new(times: times.to_i,
            last: Contracts::TypedField.date(value(:last).fetch(technique, ''))))
        end
      end
    end
  end
end
