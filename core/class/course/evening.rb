# frozen_string_literal: true

module Core
  module Course
    # One evening of a course.
    #
    # @param date Date
    # @param fresh [Catalogue::Technique] new to the group
    # @param wanting [(Catalogue::Technique, Catalogue::Technique)], new ones with what they stand on and nobody was taught
    # @param revise [Catalogue::Technique] that were taught so long ago that they fade
    Evening = Value.define(:lesson, :date, :fresh, :wanting, :revise)
  end
end
