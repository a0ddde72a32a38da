# frozen_string_literal: true

module Web
  module Presenters
    module Sections
      # The bench seen from above: places with name cards round the chosen person's piece.
      class Bench < Section
        include Drawn

        # @return [Array<Array<Core::Planning::PersonPlan>>] the upper and the lower row
        def rows
          people.each_slice([(people.size / 2.0).ceil, 1].max).to_a
        end

        # One thing in the chosen kit: its swatch's item, and how it is called.
        def kit
          chosen.needs.map { |need| [need.part, "#{need.count} × #{need.part.name}"] } +
            chosen.cuts.map { |cut| [cut.line, "#{cut.count} × #{length(cut.length)} of #{cut.line.name}"] }
        end

        def summary
          piece = chosen.piece
          [[repeats_words(piece), count_of(chosen.bead_count, 'bead')].compact.join(', '),
           ("#{length(piece.laid_flat)} laid flat" if piece.round),
           "#{Formats::Wording.piece_size(piece, unit: unit)}, #{finished_words(chosen)}",
           (say('size_doubt', by: piece.doubt) if piece.doubt.positive?)].compact.join(' · ')
        end

        # @return [String] what a card says of the size
        def size_words(person)
          return say('seat_status.out_of_reach') unless person.fitted?

          "#{'about ' if person.assumed}#{length(person.measure)}"
        end

        def status_words(person)
          say("seat_status.#{status_of(person)}")
        end

        # @return [String, nil] the chosen person's evening
        def ribbon
          Ribbon.new(@reading, unit).drawing([seat])
        end
      end
    end
  end
end
