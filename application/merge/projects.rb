# frozen_string_literal: true

module Application
  module Merge
    # Projects, each with what it names and is not here.
    class Projects < Kind
      # @param design [Core::Project::Design] saved as the newest version @raise [StudioMerge::Unplannable]
      def bring_one(design)
        named = Core::Data::Records.texts_of(Core::Data::Records::DESIGN.write(design))
        %i[parts lines].each { |kind| CatalogueItems.new(@studio, @content, kind).bring_missing(named) }
        Core::Sizing::Blueprint.new(design, @studio.catalogue.table).fit_usual
        @studio.projects.save(design)
      rescue Core::Making::InvalidParameters, Core::UnknownKey
        raise StudioMerge::Unplannable, design.name
      end

      private

      def name
        :projects
      end

      def present
        @studio.projects.newest.map(&:design)
      end

      def alike?(mine, item)
        mine.with(version: item.version) == item
      end

      def save(chosen)
        chosen.each { |design| bring_one(design) }
      end
    end
  end
end
