# frozen_string_literal: true

module Web
  module Presenters
    module Sections
      # What every section of a class's page has: what it reads of the result, and how that is said.
      class Section
        include Printing

        attr_reader :place, :notice

        # @param reading [Application::TrackedResult] @param drafts [Hash] refused forms with what was typed
        def initialize(reading, place: nil, notice: nil, drafts: {})
          @reading = reading
          @place = place
          @notice = notice
          @drafts = drafts
        end

        def id
          @reading.id
        end

        def revision
          @reading.revision
        end

        def unit
          @reading.unit
        end

        def plan
          @reading.plan
        end

        def workshop
          plan.workshop
        end

        def people
          plan.people
        end

        def fitted
          people.select(&:fitted?)
        end

        # @return [Core::Planning::PersonPlan, nil] whose place is chosen
        def chosen
          plan.person(@reading.seat)
        end

        def seat
          @reading.seat
        end

        # @param form [Symbol, String] @return [Draft, nil] what was typed and refused
        def draft(form)
          @drafts[form]
        end

        # @return [String] a field's text: what was typed before, else what is saved
        def typed(form, name, saved)
          found = draft(form)
          found ? found.value(name) : saved
        end

        # @return [Hash{Integer=>String}] how choices up to a level are called
        def self.up_to(none:)
          { 0 => none, **(1..4).to_h { |level| [level, level == 1 ? 'level 1' : "levels 1 to #{level}"] }, 5 => 'everyone' }
        end
      end
    end
  end
end
