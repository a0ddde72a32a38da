# frozen_string_literal: true

module Web
  module Presenters
    # Everybody who was ever in a class.
    class Register
      include Printing

      Row = Core::Value.define(:name, :level, :measures, :flags, :techniques, :visits, :here)

      attr_reader :unit, :klass

      # @param known [Array<Core::People::Register::Known>] @param klass [Store::Classes::Stored, nil] that they are chosen for
      def initialize(known, unit, klass = nil)
        @known = known
        @unit = unit
        @klass = klass
      end

      # @return [Array<Row>]
      def rows
        here = klass ? klass.state.attendees.map { |one| one.name.downcase } : []
        @known.map do |person|
          one = person.attendee
          measures = one.measures.map { |body, measure| "#{body} #{length(measure)}" }
          flags = one.flags.map { |flag| flag == :other_allergy ? "allergic: #{one.needs.other_allergy}" : say("flags.#{flag}") }
          Row.new(name: person.name, level: one.level, measures: measures.join(', '), flags: flags.join(', '),
            techniques: one.experience.size, visits: person.visits, here: here.include?(one.name.downcase))
        end
      end
    end
  end
end
