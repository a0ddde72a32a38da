# frozen_string_literal: true

module Store
  # Someone else changed the same place meanwhile. conflicts: [Core::Data::Merge::Conflict] · revision: the current one
  class Conflict < Core::Error
    attr_reader :conflicts, :revision

    def initialize(conflicts, revision)
      @conflicts = conflicts
      @revision = revision
      super("#{conflicts.size} places were changed elsewhere meanwhile")
    end
  end
end
