# frozen_string_literal: true

module Core
  module Course
    # One evening of a course. date: Date · fresh: [Catalogue::Skill] new to the group · wanting: [(Catalogue::Skill, Catalogue::Skill)],
    # new ones with what they stand on and nobody was taught · revise: [Catalogue::Skill] that were taught so long ago that they fade
    Evening = Value.define(:lesson, :date, :fresh, :wanting, :revise)
  end
end
