# frozen_string_literal: true

require 'json'

module Store
  # Where one person stands in the states of all classes, live, held and removed. Works on a studio of any version.
  class PersonTraces
    # What a document says of a person in words; "mind" is what older versions called notes.
    TEXTS = %w[name notes mind].freeze

    # @param database [Sequel::Database]
    # @param name [String]
    # @param number [Integer] which of those with this name in one class, from 1
    def initialize(database, name, number = 1)
      @database = database
      @name = Core::People::Register.name_key(name)
      @number = number
    end

    # @return [Hash{Integer=>Array<String>}] a class's id => the keys that the person has in it
    def keys
      @keys ||= documents.transform_values { |states| keys_in(states) }.reject { |_, found| found.empty? }
    end

    # @return [Array<String>] every name, note and guardian of the person, in any state
    def texts
      @texts ||= keys.flat_map { |id, found| documents[id].flat_map { |one| one['attendees'].slice(*found).values } }
        .flat_map { |person| [*person.values_at(*TEXTS), person.dig('needs', 'guardian')] }.compact.reject(&:empty?).uniq
    end

    # Takes the person out of every state. This cannot be undone.
    def erase
      texts
      keys.each { |id, found| found.each { |key| PersonTraces.erase(@database, id, key) } }
    end

    # Takes the person with this key out of every state of one class.
    def self.erase(database, id, key)
      history = database[:class_revisions].where(class_id: id)
      history.select_map(%i[revision document]).each do |revision, text|
        document = JSON.parse(text)
        next unless document['attendees'].delete(key)

        history.where(revision: revision).update(document: JSON.generate(document))
      end
      database[:packed].where(class_id: id, kit: key).delete
    end

    private

    def documents
      @documents ||= @database[:class_revisions].order(:class_id, :revision).select_map(%i[class_id document])
        .group_by(&:first).transform_values { |rows| rows.map { |_, text| JSON.parse(text) } }
    end

    # A key belongs to one person in all states of a class.
    def keys_in(states)
      named = states.map { |one| one['attendees'].select { |_, person| Core::People::Register.name_key(person['name']) == @name } }
        .map { |found| found.keys.sort_by(&:to_i) }
      return named.flatten.uniq if @number == 1 && named.none? { |found| found.size > 1 }

      named.filter_map { |found| found[@number - 1] }.uniq
    end
  end
end
