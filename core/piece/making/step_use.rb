# frozen_string_literal: true

module Core
  module Making
    # A piece of work.
    #
    # @param after keys of steps that must be done before
    # @param rather_after of steps better done before, where schools allow both
    # @param effort times the technique's usual time
    # @param preparable can be done before class
    # @param optional a shorter variant leaves it out
    # @param last done when all else of the piece is: what is hung then would be in the way before
    # @param waits minutes it must be left alone afterwards, for drying
    # @param adds roles of what it puts on the piece, for a drawing of the state
    # @param keeps {tool key => key of the step that frees it}, what stays with the piece until then
    # @param line the one it works, where a component has several; nil for any
    # @param wires of it worked as one
    # @param alike how many of its component one piece has, all worked together
    # @param text wording key
    # @param values what its wording says
    # @param takes_rest cuts what takes up the length that all else leaves
    # @param when_hung done only where it hangs something of another component in
    # @param pictured [LineEnd, nil] the end it makes, to be drawn
    # @param order [Array<Catalogue::Part>] the beads of one line it lays or strings, from the first end
    StepUse = Value.define(:key, :technique, :repeats, :text, after: [].freeze, rather_after: [].freeze, effort: 1, preparable: false,
      checkpoint: false,
      optional: false, last: false, line: nil, wires: 1, alike: 1, waits: 0, keeps: {}.freeze, adds: [].freeze, cautions: [].freeze,
      values: {}.freeze, order: [].freeze, pictured: nil,
      when_hung: false, takes_rest: false) do
      # @return [String] key of its component, once it stands within one
      def component
        key.split('/').first
      end

      # @param component [String] its key @return [StepUse] with keys "component/step"
      def within(component)
        start = "#{component}/"
        with(key: start + key, after: after.map { |other| start + other },
          rather_after: rather_after.empty? ? rather_after : rather_after.map { |other| start + other },
          keeps: keeps.empty? ? keeps : keeps.transform_values { |other| start + other })
      end
    end
  end
end
