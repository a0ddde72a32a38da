# frozen_string_literal: true

module Store
  # What happens in the classes, as it is tapped.
  class LiveEvents
    include Transactional

    # More than a long class of sixty people taps.
    MOST = 20_000

    # @return [Array<Core::Live::Event>] in the order in which they came in
    def of(class_id)
      @database[:live_events].where(class_id: class_id).order(:id).all.map do |row|
        Core::Live::Event.new(key: row[:key], kind: row[:kind].to_sym, at: row[:at], person: row[:person], undoes: row[:undoes],
          detail: row[:detail])
      end
    end

    # @return [Hash{Integer=>Integer}] ids of the classes that were taught to their end => how many taps each has
    def taught
      ended = @database[:live_events].where(kind: 'end').select(:class_id)
      number = Sequel.function(:count).*.as(:taps)
      @database[:live_events].where(class_id: ended).group(:class_id).order(:class_id).select_hash(:class_id, number)
    end

    # @param except [Integer] the class that is left out
    # @return [Hash{String=>Integer}] mark of a fault => how often its sign was seen, without what was taken back
    def signs(except:)
      undone = @database[:live_events].where(kind: 'undo').exclude(undoes: nil).select(:undoes)
      seen = @database[:live_events].where(kind: 'problem').exclude(class_id: except).exclude(key: undone)
      seen.group(:detail).select_hash(:detail, Sequel.function(:count).*.as(:times))
    end

    # What comes twice is kept once. @param event [Core::Live::Event] @raise [NotFound] for a class that is not there
    # @return [Boolean] whether it is kept
    def append(class_id, event)
      append_all(class_id, [event])
    end

    # @param events [Array<Core::Live::Event>] in the order in which they happened
    def append_all(class_id, events)
      write do
        raise NotFound.new(:class, class_id) if @database[:classes].where(id: class_id).empty?
        next false if @database[:live_events].where(class_id: class_id).count + events.size > MOST

        events.each { |event| @database[:live_events].insert_conflict.insert(class_id: class_id, **row(event)) }
        true
      end
    end

    private

    def row(event)
      { key: event.key, kind: event.kind.to_s, at: event.at, person: event.person, undoes: event.undoes, detail: event.detail }
    end
  end
end
