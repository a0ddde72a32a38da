# frozen_string_literal: true

module Web
  module Presenters
    # A change that met another one at the same place: both sides, so that one can be chosen.
    class Conflict
      FIELDS = {
        'name' => 'name',
        'level' => 'level',
        'wrist' => 'wrist',
        'neck' => 'neck',
        'ankle' => 'ankle',
        'notes' => 'notes',
        'needs' => 'needs',
        'colourway' => 'colourway',
        'title' => 'title',
        'date' => 'date',
        'start' => 'start',
        'minutes' => 'minutes',
        'venue' => 'venue',
        'tool_sets' => 'sets of tools',
        'ease' => 'ease',
        'brings' => 'tools brought',
        'project_version_id' => 'project or centre',
        'assumed_size' => 'size of people not measured'
      }.freeze
      # One place. mine, theirs: as text
      Row = Core::Value.define(:place, :mine, :theirs)

      attr_reader :submitted, :id

      # @param submitted [Hash] the form as sent, to be sent again
      def initialize(stored, error, submitted, unit)
        @stored = stored
        @id = stored.id
        @error = error
        @submitted = submitted.flat_map { |name, value|
          value.is_a?(Array) ? value.map { |one|
                                 ["#{name}[]", one]
                               } : [[name, value]]
        }.select { |_, value| value.is_a?(String) }
        @unit = unit
      end

      # @return [Array<Row>]
      def rows
        @error.conflicts.map { |c| Row.new(place: place(c.path, c), mine: shown(c.mine), theirs: shown(c.theirs)) }
      end

      # @return [String, nil] what to tell about changes that came in from elsewhere
      def self.merged_notice(paths)
        return if paths.empty?

        named = paths.map { |path| FIELDS.fetch(path.last, path.last) }.uniq.first(4)
        "Saved. Someone else changed this class meanwhile (#{named.join(', ')}); both changes are kept."
      end

      private

      def place(path, conflict)
        return FIELDS.fetch(path.last, path.last) unless path.first == 'attendees'

        name = [conflict.mine, conflict.theirs, conflict.base].grep(Hash).first&.fetch('name', nil) || name_of(path[1])
        path.size > 2 ? "#{name}: #{FIELDS.fetch(path.last, path.last)}" : name
      end

      def name_of(key)
        @stored.state.attendees.find { |a| a.key == key }&.name || 'this person'
      end

      def shown(value)
        case value
        when nil then 'taken out'
        when Hash then [value['name'], "level #{value['level']}", *value.fetch('measures', {}).values].compact.join(', ')
        else value.to_s
        end
      end
    end
  end
end
