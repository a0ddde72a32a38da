# frozen_string_literal: true

module Web
  module Presenters
    module Sections
      # The people of a class, and more about the one who is chosen.
      class People < Section
        include Drawn

        # What one technique the class uses is to the chosen person: times and date as text, with what is wrong with them.
        Done = Core::Value.define(:technique, :times, :last, :errors)

        def body
          plan.design.body
        end

        def sized?
          body != :own
        end

        def colourways
          plan.design.colourways.keys
        end

        # @return [String] a person's measure as it would be typed
        def measure(attendee)
          attendee.measures[body] ? length(attendee.measures[body]) : ''
        end

        def asked(person)
          person.fitted? ? length(person.piece.worn) : ''
        end

        def made(person)
          person.fitted? ? length(person.piece.inside) : say('seat_status.out_of_reach')
        end

        # @return [Integer] people planned at an assumed size
        def unmeasured
          people.count(&:assumed)
        end

        def assumed_size
          length(plan.assumed_size)
        end

        def assumed_text
          typed(:assumed, :assumed_size, workshop.assumed_size ? length(workshop.assumed_size) : '')
        end

        # @return [Array<(Core::Planning::PersonPlan, String)>] who is watched, and at what
        def watched
          people.flat_map { |person|
            person.findings.select { |finding|
              finding.status == :watch
            }.map { |finding| finding_words(finding) }
          }
        end

        def removed
          @reading.stored && @reading.removed_people
        end

        def more_form
          "more-#{chosen.attendee.key}"
        end

        def tails
          Core::Ends::Tails::POLICIES
        end

        # @return [Array<(String, String, Boolean)>] tools of this class: key, name, whether the chosen person brings one
        def brings
          brought = draft(more_form) ? draft(more_form).value('brings').split : chosen.attendee.brings
          plan.tools.map { |need| [need.tool.key, need.tool.name, brought.include?(need.tool.key)] }
        end

        # @return [Array<Done>]
        def done_before
          found = draft(more_form)
          plan.techniques.map do |technique|
            done = chosen.attendee.experience[technique.key]
            Done.new(technique: technique, times: found ? found.value("times_#{technique.key}") : done&.times.to_s,
              last: found ? found.value("last_#{technique.key}") : done&.last&.iso8601.to_s,
              errors: %w[times last].filter_map { |name| found&.error("#{name}_#{technique.key}") })
          end
        end

        def done_before_wrong?
          done_before.any? { |done| done.errors.any? }
        end

        def needs_form
          NeedsFields.new(chosen.attendee.needs, draft("needs-#{chosen.attendee.key}"))
        end
      end
    end
  end
end
