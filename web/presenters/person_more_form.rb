# frozen_string_literal: true

module Web
  module Presenters
    # What is set less often about an attendee: their own ease and tails, the tools they bring, and what they have done.
    class PersonMoreForm
      EASE_MM = (0..100).freeze
      LONGEST_DATE = 20

      attr_reader :errors

      def initialize(studio, params)
        @text = params['ease'].is_a?(String) ? params['ease'].dup.force_encoding(Encoding::UTF_8).scrub.strip[0, 40] : ''
        brought = params['brings'].is_a?(Array) ? params['brings'] : []
        @brings = studio.catalogue.table.tools.keys & brought.grep(String)
        @tails = Core::Construction::Tails::POLICIES.find { |policy| policy.to_s == params['tails'] }
        known = studio.catalogue.table.techniques
        @done = %w[times last].to_h { |name| [name, given(params[name], known)] }
        @errors = {}
        @ease = read
        @errors = @errors.merge(experience_problems)
      end

      def valid?
        errors.empty?
      end

      # @return [Core::People::Attendee]
      def apply(attendee)
        untouched = attendee.ease && Formats::LengthPrint.printed?(@text, attendee.ease)
        attendee.with(ease: untouched ? attendee.ease : @ease, brings: @brings, tails: @tails, experience: experience(attendee.experience))
      end

      # @return [Draft]
      def draft
        Draft.new(values: { 'ease' => @text, 'brings' => @brings.join(' '), 'tails' => @tails.to_s }.merge(*@done.map { |name, typed|
          typed.transform_keys { |key|
            "#{name}_#{key}"
          }
        }), errors: errors)
      end

      private

      # What was typed beside each technique.
      def given(typed, known)
        typed.is_a?(Hash) ? typed.select { |key, text|
          known.key?(key) && text.is_a?(String)
        }.transform_values { |text| text.dup.force_encoding(Encoding::UTF_8).scrub.strip[0, 40] } : {}
      end

      # Nothing typed, or no times, takes it out again.
      def experience(before)
        @done['times'].reduce(before) do |all, (key, times)|
          times.to_i.zero? ? all.except(key) : all.merge(key => Core::People::Experience.new(times: times.to_i,
            last: date(@done['last'][key])))
        end
      end

      def date(text)
        text.to_s.empty? ? nil : Date.iso8601(text[0, LONGEST_DATE])
      rescue Date::Error
        nil
      end

      def experience_problems
        times = @done['times'].reject { |_, text| text.empty? || (text.match?(/\A\d{1,3}\z/) && Core::People::Experience::TIMES.cover?(text.to_i)) }
        dates = @done['last'].reject { |_, text| text.empty? || date(text) }
        times.to_h { |key, _| [:"times_#{key}", "Give how often, a whole number up to #{Core::People::Experience::TIMES.end}."] }
          .merge(dates.to_h { |key, _| [:"last_#{key}", 'Give a date that exists, as year-month-day.'] })
      end

      # Empty takes the project's ease.
      def read
        return if @text.empty?

        ease = Core::Measure::Length.parse(@text, default_unit: :mm)
        return ease if EASE_MM.cover?(ease.to_mm)

        refuse
      rescue Core::Measure::NotALength
        refuse
      end

      def refuse
        @errors = { ease: "Give an ease from 0 to #{EASE_MM.end} mm, such as 6 mm for snug or 19 mm for loose, or leave it empty." }
        nil
      end
    end
  end
end
