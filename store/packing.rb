# frozen_string_literal: true

module Store
  # Which things are in which bag, and how many of each.
  class Packing
    include Transactional

    # Packed before numbers were kept: as many as were planned.
    AS_PLANNED = -1

    # @return [Hash{Array(String, String)=>Integer}] kit and item keys => how many are in the bag, or AS_PLANNED
    def of(class_id)
      @database[:packed].where(class_id: class_id).select_map(%i[kit item count]).to_h { |kit, item, count| [[kit, item], count] }
    end

    # @param items [Hash{Array(String, String)=>Integer}] kit and item keys => how many are in the bag now; 0 takes it out
    def mark(class_id, items)
      write do
        items.each do |(kit, item), count|
          row = { class_id: class_id, kit: kit, item: item }
          @database[:packed].where(row).delete
          @database[:packed].insert(row.merge(count: count)) if count.positive?
        end
      end
    end
  end
end
