# frozen_string_literal: true

module Core
  module Cutting
    # One piece to cut. owner: whom it is for
    WantedCut = Value.define(:owner, :length)
  end
end
