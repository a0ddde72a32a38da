# frozen_string_literal: true

module Core
  module Sizing
    # The measure a project is sized by is not known for this attendee.
    MissingMeasure = Value.define(:body)
  end
end
