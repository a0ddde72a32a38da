# frozen_string_literal: true

module Store
  # Which things are in which bag.
  class Packing
    def initialize(database)
      @database = database
    end

    # @return [Array<(String, String)>] kit and item keys
    def of(class_id)
      @database[:packed].where(class_id: class_id).select_map(%i[kit item])
    end

    # @param items [Array<(String, String)>] kit and item keys @param packed [Boolean]
    def mark(class_id, items, packed)
      rows = items.map { |kit, item| { class_id: class_id, kit: kit, item: item } }
      @database.transaction do
        packed ? @database[:packed].insert_conflict.multi_insert(rows) : rows.each { |row| @database[:packed].where(row).delete }
      end
    end
  end
end
