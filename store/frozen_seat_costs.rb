# frozen_string_literal: true

require 'json'

module Store
  # What a class's materials cost when its kits left the stock: plain data, so that later prices do not change it.
  class FrozenSeatCosts
    include Transactional

    # @return [Hash, nil] as it was put in
    def of(class_id)
      text = @database[:taken_kits].where(class_id: class_id).get(:document)
      text && JSON.parse(text)
    end

    def put(class_id, document)
      write {
        @database[:taken_kits].insert_conflict(:replace).insert(class_id: class_id, document: JSON.generate(document),
          made_at: Time.now.utc)
      }
    end

    def remove(class_id)
      write { @database[:taken_kits].where(class_id: class_id).delete }
    end
  end
end
