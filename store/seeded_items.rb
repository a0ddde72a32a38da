# frozen_string_literal: true

module Store
  # What the shipped library has brought into the studio so far.
  class SeededItems
    include Transactional

    # @return [Set<Array(String, String)>] kind and key
    def all
      @database[:shipped].select_map(%i[kind key]).to_set
    end

    # @param items [Array<(String, String)>] kind and key
    def add(items)
      write { @database[:shipped].insert_conflict.import(%i[kind key], items) }
    end
  end
end
