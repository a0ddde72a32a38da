# frozen_string_literal: true

module Core
  module Course
    # One evening of a course. date: Date · fresh: [Technique::Skill] new to the group · wanting: [(Technique::Skill, Technique::Skill)],
    # new ones with what they stand on and nobody was taught · revise: [Technique::Skill] that were taught so long ago that they fade
    Evening = Value.define(:lesson, :date, :fresh, :wanting, :revise)
  end
end
