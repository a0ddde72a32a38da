# frozen_string_literal: true

module Core
  module Course
    # A project as a course sees it. techniques: keys of those its steps use
    Lesson = Value.define(:key, :name, :techniques)
  end
end
