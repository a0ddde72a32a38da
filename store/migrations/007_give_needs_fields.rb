# frozen_string_literal: true

require 'json'

# What was only written in words about people becomes fields, as it was acted on before; the words stay as notes.
Sequel.migration do
  rename = ->(data, from, to) { data[to] = data.delete(from) if data&.key?(from) }
  rewrite = ->(database, change) do
    database[:class_revisions].select_map(%i[id document]).each do |id, text|
      document = JSON.parse(text)
      change.(document)
      database[:class_revisions].where(id: id).update(document: JSON.generate(document))
    end
  end

  up do
    needs = Core::Data::Records::NEEDS
    rewrite.(self, ->(document) {
      rename.(document.dig('class', 'session'), 'wish', 'target')
      document['attendees'].each_value do |person|
        rename.(person, 'mind', 'notes')
        person['needs'] ||= needs.write(Core::People::NeedsReader.read(person.fetch('notes', '')))
        person.delete('needs') if person['needs'].empty?
      end
    })
  end

  down do
    rewrite.(self, ->(document) {
      rename.(document.dig('class', 'session'), 'target', 'wish')
      document['attendees'].each_value do |person|
        rename.(person, 'notes', 'mind')
        person.delete('needs')
      end
    })
  end
end
