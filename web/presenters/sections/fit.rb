# frozen_string_literal: true

module Web
  module Presenters
    module Sections
      # What will not go together, and what would put it right.
      class Fit < Section
        include Supplied

        def open_rings
          @reading.settings.open_rings
        end

        # @return [Array<Findings::Row>]
        def rows
          @rows ||= Findings.new(plan, chosen).rows
        end

        # @return [Array<Core::Fit::Effect>] of the cures that put this finding right and nothing else wrong
        def cures(row)
          Core::Fit::Effect.offered(row.finding, plan.design, row.person, @reading.catalogue, open_rings: open_rings)
        end

        def cure_words(effect)
          Formats::Wording.cure(effect.cure, unit: unit)
        end

        def effect_words(effect, person)
          beads = effect.beads_before == effect.beads_after ? 'same beads' : "#{effect.beads_before} beads become #{effect.beads_after}"
          before, after = effect.inside_before, effect.inside_after
          size = before == after ? 'same size' : "inside #{length(before)} becomes #{length(after)}"
          ["for #{person.attendee.name}: #{beads}", size, cost_words(effect.cost(market))].compact.join(', ')
        end

        def cost_words(cost)
          return if cost.nil?

          cost.minor.zero? ? 'same cost' : "#{money(cost.minor.abs)} #{cost.minor.positive? ? 'more' : 'less'} a piece"
        end

        def status_words(finding)
          margin = finding.margin
          case finding.status
          when :will_not then margin&.negative? ? say('status.too_tight', by: fine(margin.abs)) : say('status.will_not')
          when :unknown then say('status.not_measured')
          else say("status.#{finding.status}")
          end
        end

        def concerns(row)
          row.names.size == people.size ? 'everybody' : row.names.join(', ')
        end

        # @return [Array<Core::Fit::Finding>] all that was judged for the chosen person
        def judged
          chosen&.fitted? ? chosen.findings : []
        end
      end
    end
  end
end
