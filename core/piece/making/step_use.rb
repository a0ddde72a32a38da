# frozen_string_literal: true

module Core
  module Making
    # A piece of work.
    #
    # @param needs facts that must be so before it, see Facts
    # @param gives facts that are so once it is done, among them the roles of what it puts on the piece
    # @param shuts facts that it ends: nothing that needs them can be done any more
    # @param rather facts better so before it, where schools allow both
    # @param after keys of the steps that must be done before it, found from the facts
    # @param rather_after of steps better done before it, found in the same way
    # @param effort times the technique's usual time
    # @param preparable can be done before class, found from the facts
    # @param optional a shorter variant leaves it out
    # @param last done when all else of the piece is: what is hung then would be in the way before
    # @param waits minutes it must be left alone afterwards, for drying
    # @param keeps {tool key => fact}, what stays with the piece until that fact is shut; once ordered, until the step of that key
    # @param line the one it works, where a component has several; nil for any
    # @param wires of it worked as one
    # @param alike how many of its component one piece has, all worked together
    # @param text wording key
    # @param values what its wording says
    # @param takes_rest cuts what takes up the length that all else leaves
    # @param when_hung done only where it hangs something of another component in
    # @param pictured [LineEnd, nil] the end it makes, to be drawn
    # @param order [Array<Catalogue::Part>] the beads of one line it lays or strings, from the first end
    StepUse = Value.define(:key, :technique, :repeats, :text, needs: [].freeze, gives: [].freeze, shuts: [].freeze, rather: [].freeze,
      after: [].freeze, rather_after: [].freeze, effort: 1, preparable: false, checkpoint: false, optional: false, last: false,
      line: nil, wires: 1, alike: 1, waits: 0, keeps: {}.freeze, cautions: [].freeze, values: {}.freeze, order: [].freeze, pictured: nil,
      when_hung: false, takes_rest: false) do
      # @return [String] key of its component, once it stands within one
      def component
        key.split('/').first
      end

      # @param place [Facts::Place] @param component [String, nil] its key
      # @return [StepUse] with what it waits for; within a component with keys "component/step"
      def placed(place, component = nil)
        start = component ? "#{component}/" : ''
        with(key: start + key, after: place.after.map { |other| start + other },
          rather_after: place.rather_after.empty? ? rather_after : place.rather_after.map { |other| start + other },
          keeps: place.keeps.empty? ? place.keeps : place.keeps.transform_values { |other| start + other }, preparable: place.preparable)
      end
    end
  end
end
