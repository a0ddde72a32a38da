# frozen_string_literal: true

module Core
  module Course
    # A project as a course sees it.
    #
    # @param techniques keys of those its steps use
    Lesson = Value.define(:key, :name, :techniques)

    class Lesson
      # @param design [Project::Design] @param table [Catalogue::Table] @return [Lesson, nil] nil where it cannot be built
      def self.of(design, table)
        piece = Sizing::Blueprint.new(design, table).fit_usual
        new(key: design.key, name: design.name, techniques: piece.steps.map(&:technique).uniq) if piece.is_a?(Sizing::Piece)
      rescue Making::InvalidParameters, UnknownKey
        nil
      end
    end
  end
end
