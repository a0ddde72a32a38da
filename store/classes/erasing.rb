# frozen_string_literal: true

module Store
  class Classes
    # Taking names out: of one person, of traces anywhere, and of classes held long ago.
    module Erasing
      # Takes someone out of every state of the class: this cannot be undone.
      def erase(id, key)
        write { PersonTraces.erase(@database, id, key) }
      end

      # Takes a person out of every class and all its states; people with such a class open see a notice.
      # This cannot be undone.
      # @param traces [PersonTraces]
      def erase_everywhere(traces)
        write do
          traces.keys.each do |id, keys|
            here = live.where(id: id).get(:revision) or next
            state = at(id, here)
            without = keys.reduce(state) { |now, key| now.without(key) }
            put(id, without, 'person_removed') unless without == state
          end
          # The states just put know the person no more; those before are erased with the rest.
          traces.erase
        end
      end

      # Forgets the documents it remembers.
      def forget_read
        @lock.synchronize { @read.clear }
      end

      # Who came to classes before a day is no longer said, in any of their states: this cannot be undone. Sizes and levels stay, since the
      # pieces were made by them.
      # @param day [Date] @return [Integer] classes that knew until now
      def take_names_out(day)
        write do
          ids = @database[:classes].where(names_out: false).where { date < day }.select_map(:id)
          ids.each do |id|
            history(id).select_map(%i[revision document]).each do |revision, text|
              history(id).where(revision: revision).update(document: JSON.generate(nameless(JSON.parse(text))))
            end
          end
          @database[:classes].where(id: ids).update(names_out: true)
          ids.size
        end
      end

      # Everyone who was taken out of a class and still stands in a state it can go back to.
      # @return [Hash{String=>String}] key => the name they last had
      def taken_out(id)
        present = find(id).state.attendees.map(&:key)
        ever = (1...@database[:classes].where(id: id).get(:next_key)).map(&:to_s)
        (ever - present).to_h { |key| [key, last_name(id, key)] }.compact
      end

      private

      def nameless(document)
        people = document['attendees'].to_h do |key, person|
          [key, person.except('needs', 'notes').merge('name' => "Person #{key}")]
        end
        document.merge('attendees' => people)
      end
    end
  end
end
