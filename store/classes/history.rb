# frozen_string_literal: true

module Store
  class Classes
    # Every state that a class had, and how undo and redo go through them.
    module History
      # @return [Integer, nil] the new revision; nil when there is nothing to go back to
      def undo(id)
        move(id) { |current| history(id).where(revision: current[:source]).get(:before) }
      end

      # @return [Integer, nil] the new revision; nil when nothing was undone
      def redo(id)
        move(id) { |current| history(id).where(before: current[:source], revision: :source).max(:revision) }
      end

      # @return [Hash{Symbol=>Step, nil}] what :undo would take back and :redo bring again
      def reversible(id)
        source = history(id).reverse(:revision).get(:source)
        edit = history(id).first(revision: source)
        again = history(id).where(before: source, revision: :source).reverse(:revision).first
        { undo: (step(id, edit) if edit && edit[:before]), redo: (step(id, again) if again) }
      end

      private

      def history(id)
        @database[:class_revisions].where(class_id: id)
      end

      # SQLite looks into the documents, the newest first, until one knows the key.
      def last_name(id, key)
        name = Sequel.function(:json_extract, :document, %($.attendees."#{key}".name))
        history(id).exclude(name => nil).reverse(:revision).get(name)
      end

      def at(id, revision)
        row = history(id).first(revision: revision) or raise NotFound.new(:revision, revision)
        read(row[:document])
      end

      def step(id, edit)
        before, after = [edit[:before], edit[:revision]].map { |revision| revision && at(id, revision) }
        Step.new(action: edit[:action], before: before, after: after)
      end

      def move(id)
        write do
          find(id)
          target = yield history(id).reverse(:revision).first
          target && put(id, at(id, target), 'undo', source: target)
        end
      end

      def before(id, source, last)
        source ? history(id).where(revision: source).get(:before) : last && last[:source]
      end

      # The oldest states go; what would be undone to them can be undone no more.
      def forget_old(id, revision)
        oldest = revision - MOST_STATES
        return unless oldest.positive?

        history(id).where { before <= oldest }.update(before: nil)
        history(id).where { (Sequel[:revision] <= oldest) & (source <= oldest) }.delete
      end
    end
  end
end
