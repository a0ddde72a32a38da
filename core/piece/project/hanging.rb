# frozen_string_literal: true

module Core
  module Project
    # Where something hangs, as text: "centre", or a component's key, perhaps with the place of an item in its pattern, and which of them:
    # "front@each", "front@every_3", "front.pattern.0@middle", "drop@last". An item alone means each of them.
    #
    # @param component key, nil for the first on the path that takes anything
    # @param item such as "pattern.0", nil for any
    # @param which one of WHICH
    # @param step of every so many
    Hanging = Value.define(:component, :item, :which, step: 1) do
      # @param anchors [Array<Making::Anchor>] in order along the component @return [Array<Making::Anchor>] those meant
      def choose(anchors)
        meant = item ? anchors.select { |anchor| anchor.origin == item || anchor.origin.to_s.start_with?("#{item}.") } : anchors
        case which
        when :middle then [meant[meant.size / 2]].compact
        when :first then meant.first(1)
        when :last then meant.last(1)
        else meant.each_slice(step).filter_map { |several| several[step - 1] }
        end
      end

      def to_s
        return 'centre' if component.nil?

        [component, *item].join('.') + "@#{which == :every ? "every_#{step}" : which}"
      end
    end

    class Hanging
      WHICH = %i[each every middle first last].freeze
      FORM = /\A(?<component>[a-z0-9_]+)(?:\.(?<item>[a-z_]+(?:\.\d{1,4})*))?
              (?:@(?<which>each|middle|first|last|every_(?<step>[1-9]\d?)))?\z/x
      CENTRE = new(component: nil, item: nil, which: :middle)

      # @param text [String] @return [Hanging, nil] nil where it names no place
      def self.parse(text)
        return CENTRE if text.to_s == 'centre'

        found = FORM.match(text.to_s) or return
        new(component: found[:component], item: found[:item], which: found[:step] ? :every : (found[:which] || :each).to_sym,
          step: (found[:step] || 1).to_i)
      end
    end
  end
end
