# frozen_string_literal: true

module Store
  # Who changed what, and when: kept while a studio is shared.
  class AuditLog
    include Transactional

    # One change.
    #
    # @param by the name of the person who made it
    # @param route the request, such as "POST /classes/:id/people"
    Entry = Core::Value.define(:at, :by, :route)

    # Older ones go.
    MOST = 20_000
    SHOWN = 200

    # @param class_id [Integer, nil] of the class it concerned
    def note(by:, route:, class_id: nil, at: Time.now.utc)
      # Not a change of the studio: nothing is worked out from it.
      @database.transaction(mode: :immediate) do
        id = @database[:trail].insert(at: at, by: by, route: route, class_id: class_id)
        @database[:trail].where { Sequel[:id] <= id - MOST }.delete
      end
    end

    # @return [Array<Entry>] of one class, the newest first
    def of(class_id, limit: SHOWN)
      entries(@database[:trail].where(class_id: class_id), limit)
    end

    # @return [Array<Entry>] of the whole studio, the newest first
    def newest(limit: SHOWN)
      entries(@database[:trail], limit)
    end

    private

    def entries(rows, limit)
      rows.reverse(:id).limit(limit).map { |row| Entry.new(at: row[:at], by: row[:by], route: row[:route]) }
    end
  end
end
