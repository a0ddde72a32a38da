# frozen_string_literal: true

module Core
  module Cutting
    # One piece to cut. owner: whom it is for
    Piece = Value.define(:owner, :length)
  end
end
