# frozen_string_literal: true

module Core
  module Project
    # One piece of work in a project. construction: a key of Construction::Registry · parameters: plain data, as saved
    # hung_at: nil on the path, else a place that a path component names (:centre)
    Component = Value.define(:key, :construction, :parameters, hung_at: nil)
  end
end
