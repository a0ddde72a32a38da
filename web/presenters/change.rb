# frozen_string_literal: true

module Web
  module Presenters
    # One step of undo or redo, said by what it changes.
    module Change
      # What is named of a change at the most.
      MOST = 2

      module_function

      # @param step [Store::Classes::Step] @return [String] such as "wrist of Ilse Marrow"
      def words(step)
        return Formats::Wording.say("actions.#{step.action}") if step.before.nil?

        changes = differences(step.before.to_data, step.after.to_data)
        named = changes.map { |path| named(path, step) }.uniq
        return Formats::Wording.say("actions.#{step.action}") if named.empty?

        named.size > MOST ? "#{named.first(MOST).join(', ')} and #{named.size - MOST} more" : named.join(' and ')
      end

      def differences(before, after, path = [])
        return [] if before == after
        # A person who came or went is named as a whole; of settings, what differs from what is usual.
        return [path] unless [before, after].all? { |side|
          side.is_a?(Hash) || (side.nil? && path.first == 'class')
        } && [before, after].any?(Hash)

        before, after = [before, after].map(&:to_h)
        (before.keys | after.keys).flat_map { |key| differences(before[key], after[key], [*path, key]) }
      end

      def named(path, step)
        return field(path.first == 'class' ? setting(path.drop(1)) : path.last) unless path.first == 'attendees'

        person = [step.after, step.before].filter_map { |state| state.attendees.find { |attendee| attendee.key == path[1] } }.first
        path.size > 2 ? "#{field(path.last)} of #{person&.name}" : person&.name.to_s
      end

      # Below a declared setting stand keys of steps, tools or lines, which are no words.
      # @param path [Array<String>] within a class @return [String] the setting that changed
      def setting(path, type = Core::Setup::Workshop)
        declared = type.fields[path.first.to_sym]
        declared&.type == :record && path.size > 1 ? setting(path.drop(1), declared.of) : path.first
      end

      # @param key [String] of a field in plain data
      def field(key)
        Formats::Wording.words?("fields.#{key}") ? Formats::Wording.say("fields.#{key}") : key.tr('_', ' ')
      end
      private_class_method :differences, :named, :setting
    end
  end
end
