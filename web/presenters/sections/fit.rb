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

        # @return [Array<Core::Advice::Effect>] of the cures that put this finding right and nothing else wrong
        def cures(row)
          @reading.remedies.offered(row.finding, row.person.attendee)
        end

        def cure_words(effect)
          Formats::Wording.cure(effect.cure, unit: unit)
        end

        def effect_words(effect, person)
          beads, more_beads = [effect.before, effect.after].map(&:bead_count)
          inside, other = [effect.before, effect.after].map { |own| Formats::Wording.piece_size(own.piece, unit: unit) }
          beads = beads == more_beads ? 'same beads' : "#{beads} beads become #{more_beads}"
          size = inside == other ? 'same size' : "#{inside} becomes #{other}"
          ["for #{person.attendee.name}: #{beads}", size, cost_words(effect.cost(market))].compact.join(', ')
        end

        def cost_words(cost)
          return if cost.nil?

          cost.minor.zero? ? 'same cost' : "#{money(cost.minor.abs)} #{cost.minor.positive? ? 'more' : 'less'} a kit"
        end

        def status_words(finding)
          case finding.status
          when :will_not then wrong_words(finding)
          when :unknown then say('status.not_measured')
          else say("status.#{finding.status}")
          end
        end

        def wrong_words(finding)
          return say('status.not_for_them') if finding.personal?

          finding.margin&.negative? ? say('status.too_tight', by: fine(finding.margin.abs)) : say('status.will_not')
        end

        def concerns(row)
          row.names.size == people.size ? 'everyone' : row.names.join(', ')
        end

        # @return [Array<Core::Fit::Result>] all that was judged for the chosen person
        def judged
          chosen&.fitted? ? chosen.findings : []
        end
      end
    end
  end
end
