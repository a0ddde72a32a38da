# frozen_string_literal: true

module Application
  # Brings what another studio's file holds into this one, in part or whole. What is here stays, unless theirs is asked for where the two
  # differ; nothing is ever taken away. How each kind of thing is compared and brought stands in application/merge/.
  class StudioMerge
    # What is chosen together, by kinds of the file.
    GROUPS = { stockroom: %i[parts lines tools], techniques: %i[techniques swatches], projects: %i[closures projects],
               prices: %i[suppliers offers], stock: %i[stock], classes: %i[classes] }.freeze

    # What one group would bring.
    #
    # @param fresh how many are not here
    # @param alike are here as they are there
    # @param differing are here, but not alike
    # @param refused why the group cannot come, a code, or nil
    Preview = Core::Value.define(:group, :fresh, :alike, :differing, refused: nil) do
      # @return [Boolean] whether there is anything to bring
      def any?
        (fresh + differing).positive? && refused.nil?
      end
    end

    # A project could not be planned here; nothing was brought. Its message is the project's name.
    class Unplannable < Core::Error; end

    # @param studio [Store::Studio] @param content [Formats::StudioFile::Content]
    def initialize(studio, content)
      @studio = studio
      @content = content
      @kinds = {
        **%i[parts lines tools techniques].to_h { |name| [name, Merge::CatalogueItems.new(studio, content, name)] },
        closures: Merge::Closures.new(studio, content), projects: Merge::Projects.new(studio, content),
        swatches: Merge::Swatches.new(studio, content), suppliers: Merge::Suppliers.new(studio, content),
        offers: Merge::Offers.new(studio, content),
        stock: Merge::Shelf.new(studio, content), classes: Merge::Classes.new(studio, content)
      }
    end

    # @return [Array<Preview>]
    def preview
      GROUPS.map do |group, kinds|
        counts = kinds.flat_map { |kind| @kinds.fetch(kind).standings }.tally
        Preview.new(group: group, fresh: counts.fetch(:fresh, 0), alike: counts.fetch(:alike, 0), differing: counts.fetch(:differing, 0),
          refused: (:currency if group == :prices && other_currency?))
      end
    end

    # @param groups [Array<Symbol>] of GROUPS @param theirs [Array<Symbol>] of those, for which theirs comes where the two differ
    # @return [Integer] how many things came or changed @raise [Unplannable]
    def call(groups, theirs: [])
      chosen = GROUPS.keys.intersection(groups) - (other_currency? ? [:prices] : [])
      @studio.write do
        chosen.sum { |group| GROUPS[group].sum { |kind| @kinds.fetch(kind).bring(theirs: theirs.include?(group)) } }
      end
    end

    private

    def other_currency?
      @content.about['currency'] != @studio.settings.currency
    end
  end
end
