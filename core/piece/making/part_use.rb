# frozen_string_literal: true

module Core
  module Making
    # count of one part in one role (:bead, :centre, :crimp, :clasp ...)
    PartUse = Value.define(:part, :count, :role)
  end
end
