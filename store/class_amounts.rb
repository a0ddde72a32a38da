# frozen_string_literal: true

require 'json'

module Store
  # The amounts of money in the newest state of each class.
  module ClassAmounts
    module_function

    # Multiplies them all, within a transaction of the caller's.
    # @param shift [Float] such as 0.01 where the new currency has no minor unit
    def shift(database, shift)
      newest = database[:class_revisions].join(:classes, id: :class_id,
        revision: Sequel[:class_revisions][:revision]).select_map([Sequel[:class_revisions][:id], :document])
      newest.each do |id, text|
        document = JSON.parse(text)
        shift_declared(document['class'], Core::Setup::Workshop, shift)
        database[:class_revisions].where(id: id).update(document: JSON.generate(document))
      end
    end

    # What is not written stands for its default, and is written from now on: the default does not change with the currency.
    def shift_declared(data, type, shift)
      type.fields.each_value do |field|
        key = field.name.to_s
        case field.type
        when :record then data[key] = (data[key] || {}).tap { |part| shift_declared(part, field.of, shift) }
        when :amount then data[key] = ((data[key] || field.default) * shift).round if data[key] || field.default
        end
      end
    end
    private_class_method :shift_declared
  end
end
