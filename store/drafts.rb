# frozen_string_literal: true

module Store
  # Designs being composed. Every change can be undone and redone; saving makes a version of the project.
  class Drafts
    # One draft. back, forward: whether there is a state to go to
    Stored = Core::Value.define(:id, :design, :position, :back, :forward)
    MOST_STATES = 300

    R = Core::Data::Records

    def initialize(database)
      @database = database
    end

    # @return [Integer] the new draft's id
    def begin(design)
      @database.transaction do
        id = @database[:drafts].insert(begun_at: Time.now.utc)
        put(id, 0, design)
        id
      end
    end

    # @raise [NotFound]
    def find(id)
      position = @database[:drafts].where(id: id).get(:position) or raise NotFound.new(:draft, id)
      stored(id, position)
    end

    # @yieldparam design [Core::Project::Design] @yieldreturn [Core::Project::Design]
    # @return [Stored]
    def change(id)
      @database.transaction(mode: :immediate) do
        now = find(id)
        design = yield now.design
        next now if design == now.design

        states(id).where { position > now.position }.delete
        put(id, now.position + 1, design)
        states(id).where { position <= now.position - MOST_STATES }.delete
        stored(id, now.position + 1)
      end
    end

    # @param by [Integer] -1 for undo, 1 for redo @return [Stored] as it was when there is no such state
    def step(id, by)
      @database.transaction(mode: :immediate) do
        now = find(id)
        next now unless by.negative? ? now.back : now.forward

        @database[:drafts].where(id: id).update(position: now.position + by)
        stored(id, now.position + by)
      end
    end

    def discard(id)
      find(id)
      @database[:drafts].where(id: id).delete
    end

    private

    def states(id)
      @database[:draft_states].where(draft_id: id)
    end

    def put(id, position, design)
      states(id).insert(draft_id: id, position: position, document: JSON.generate(R::DESIGN.write(design)))
      @database[:drafts].where(id: id).update(position: position)
    end

    def stored(id, position)
      around = states(id).where(position: [position - 1, position + 1]).select_map(:position)
      Stored.new(id: id, position: position, back: around.include?(position - 1), forward: around.include?(position + 1),
                 design: R::DESIGN.read(JSON.parse(states(id).first(position: position)[:document])))
    end
  end
end
