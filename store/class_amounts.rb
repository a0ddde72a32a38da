# frozen_string_literal: true

require 'json'

module Store
  # The amounts of money in the newest state of each class.
  module ClassAmounts
    PLACES = { 'supply' => %w[venue tools_share hour rounding], 'session' => %w[assistant_hour tool_hire] }.freeze
    DEFAULTS = { 'supply' => Core::Setup::SupplySettings.new, 'session' => Core::Setup::SessionSettings.new }.freeze

    module_function

    # Multiplies them all, within a transaction of the caller's.
    # @param shift [Float] such as 0.01 where the new currency has no minor unit
    def shift(database, shift)
      newest = database[:class_revisions].join(:classes, id: :class_id,
        revision: Sequel[:class_revisions][:revision]).select_map([Sequel[:class_revisions][:id], :document])
      newest.each do |id, text|
        document = JSON.parse(text)
        PLACES.each { |part, names| shift_part(document['class'], part, names, shift) }
        taken = document.dig('class', 'note', 'taken')
        document['class']['note']['taken'] = (taken * shift).round if taken
        database[:class_revisions].where(id: id).update(document: JSON.generate(document))
      end
    end

    def shift_part(data, part, names, shift)
      amounts = names.to_h { |name| [name, ((data.dig(part, name) || DEFAULTS.fetch(part).public_send(name)) * shift).round] }
      data[part] = { **data.fetch(part, {}), **amounts }
    end
    private_class_method :shift_part
  end
end
