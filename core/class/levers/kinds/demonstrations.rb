# frozen_string_literal: true

module Core
  module Levers
    module Kinds
      # Another way of showing: all wait, who knows it works on, or all is shown before the work.
      class Demonstrations < Lever
        key :demonstrations
        rank 70

        def self.in_room(opportunity)
          (Setup::SessionSettings.field(:demonstrations).of - [opportunity.session.demonstrations]).map { |mode| new(mode: mode) }
        end

        def apply(workshop)
          session(workshop, demonstrations: values[:mode])
        end
      end
    end
  end
end
