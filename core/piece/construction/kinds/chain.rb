# frozen_string_literal: true

module Core
  module Construction
    module Kinds
      # A length of chain, cut at a link, or opened at one where its links are not soldered: as many links as the length takes. Any link may
      # take the clasp. An end link that opens is a joint of its own.
      class Chain < Base
        key :chain
        rank 120
        takes_hanging

        parameter :chain, :part, of: %i[chain]
        # Chain for a necklace is bought once and halved at a link, each half for one side.
        parameter :halves, :boolean, default: false
        # Any link takes the clasp: the piece can be worn shorter than it is made.
        parameter :takes_clasp, :boolean, default: false

        def fill
          @fill ||= Making::Fill.new(base: Measure::Length::ZERO, step: chain.along * sides,
            height: Making::ThreadedElement.of(chain).height,
            fewest: 1, most: 1500 / sides)
        end

        def on_line(solution)
          [Making::ThreadedElement.of(chain, along: solution.length)]
        end

        def as_part(work_up, **identity)
          chain.with(**identity, along: work_up.lengths.beaded)
        end

        private

        def sides
          halves ? 2 : 1
        end

        def work_up(solution, _maker)
          links = solution.repeats * sides
          Making::WorkUp.new(parts: [count(chain, links, :chain)], cuts: [], steps: steps(links), joins: [],
            drawing: Lazy.new { layout(links) }, lengths: lengths(solution),
            ends: %i[first last].to_h { |place| [place, Making::Attachment.new(item: chain, opened_with: joint(place))] },
            anchors: Lazy.new { anchors(links) })
        end

        def lengths(solution)
          Making::Lengths.new(beaded: solution.length, repeats: solution.repeats, unit: fill.step,
            shorter: takes_clasp ? solution.length - chain.along : Measure::Length::ZERO,
            working: [term(:links_of, solution.length, count: solution.repeats * sides, each: chain.along)])
        end

        # Its end links open; what hangs in any other is open itself.
        def anchors(links)
          all = part_anchors([chain] * links, ['chain'] * links)
          all.each_with_index.map { |one, i|
            place = { 0 => :first, links - 1 => :last }[i]
            place ? one.with(opened_with: joint(place)) : one
          }
        end

        # @param place [Symbol] :first or :last @return [Symbol, nil] the fact that something was hung in the end link there
        def joint(place)
          :"hung_#{place}" if opens?
        end

        # Halves are cut in one go.
        def opens?
          chain.opens? && !halves
        end

        def steps(links)
          return opened(links) if opens?

          values = { links: links, each: links / sides }
          [step(halves ? 'count_halves' : 'count', 'measuring', 1, gives: %i[counted], values: values, takes_rest: true),
           step(halves ? 'halve' : 'cut', 'cutting_chain', sides, needs: %i[counted], gives: %i[chain],
             checkpoint: true, values: values)]
        end

        def opened(links)
          joints = %i[first last].map do |place|
            step("join_#{place}", 'ring', 1, needs: %i[chain], gives: [:"hung_#{place}"], when_hung: true, values: { hung: [] },
              text: :chain_join)
          end
          [step('count', 'measuring', 1, gives: %i[counted], values: { links: links }, takes_rest: true),
           step('part', 'ring', 1, needs: %i[counted], gives: %i[chain], checkpoint: true, values: { links: links }), *joints]
        end

        def layout(links)
          (0...links).map { |i| part_shape(chain, :chain, (i + 0.5) * chain.along.to_mm) }
        end
      end
    end
  end
end
