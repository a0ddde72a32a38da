# frozen_string_literal: true

module Application
  module Work
    # How far a task is. share: 0..1
    Progress = Core::Value.define(:share)
  end
end
