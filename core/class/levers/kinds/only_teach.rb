# frozen_string_literal: true

module Core
  module Levers
    module Kinds
      # The instructor makes no piece of their own beside teaching.
      class OnlyTeach < Lever
        key :only_teach
        rank 25

        def self.in_room(opportunity)
          opportunity.session.own_piece ? [new] : []
        end

        def apply(workshop)
          session(workshop, own_piece: false)
        end
      end
    end
  end
end
