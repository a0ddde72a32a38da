# frozen_string_literal: true

module Core
  module Construction
    module Kinds
      # A short row of rings, clasp, chain, connector or pendant: an end of a piece, or what hangs on it.
      # The parts read outward from the work.
      class Findings < Base
        key :findings
        rank 90
        takes_hanging

        parameter :parts, :pattern
        # Whether any link of the chain takes the clasp, which makes the piece adjustable by the chain's length.
        parameter :takes_clasp, :boolean, default: false

        def problems
          [(problem('parts', :pattern_of_nothing) if parts.empty?),
           (problem('parts', :findings_fill) if parts.fills?),
           (problem('takes_clasp', :no_chain) if takes_clasp && chain_links.empty?)].compact
        end

        def fixed_length
          @fixed_length ||= Measure::Length.sum(row.map(&:linked)) - play_of_chain
        end

        def play
          @play ||= Measure::Length.sum(row.map(&:play)) + play_of_chain
        end

        def on_line(_solution)
          row.map { |part| Making::ThreadedElement.of(part, along: taken(part)) }
        end

        def beyond(place)
          row.public_send(place).beyond
        end

        private

        def row
          @row ||= parts.expand
        end

        def chain_links
          row.select { |part| part.kind == :chain }
        end

        # @return [Measure::Length] what a part of the row adds to it; a chain that takes the clasp lies at its tightest
        def taken(part)
          part.kind == :chain ? part.linked / shrink : part.linked
        end

        # The clasp can take the first link at the tightest.
        def play_of_chain
          takes_clasp ? Measure::Length.sum(chain_links.drop(1).map(&:linked)) : Measure::Length::ZERO
        end

        def work_up(_solution, _maker)
          Making::WorkUp.new(parts: tally(row.map { |part| [part, part.kind] }), cuts: [], steps: steps, joins: joins,
            drawing: Lazy.new { layout }, lengths: Making::Lengths.new(beaded: fixed_length, play: play),
            ends: { first: row_end(0), last: row_end(row.size - 1) },
            anchors: Lazy.new { anchors })
        end

        # A ring takes what is finished before, when it is opened.
        def anchors
          part_anchors(row, parts.origins(0, 'parts')) { |part| taken(part) }.each_with_index.map { |anchor, i|
            anchor.with(opened_with: opened(i))
          }
        end

        def shrink
          takes_clasp && chain_links.any? ? chain_links.size : 1
        end

        # What opens joins the parts beside it: the step's key, and the technique that opens it.
        JOINING = { ring: %w[join ring], split_ring: %w[join_split split_ring], ear_wire: %w[join_ear_wire opening_eye] }.freeze

        def steps
          joining + row.select { |part| part.kind == :ear_back }.map { |back|
            step('put_back', 'measuring', 1, last: true, gives: %i[ear_back], values: { back: back })
          }
        end

        def joining
          opening_keys.map do |at, key|
            _, technique = JOINING.fetch(row[at].kind)
            # Of two that open the later takes the earlier.
            beside = [(row[at - 1] if at.positive?), (row[at + 1] unless opening_keys.key?(at + 1))].compact
              .reject { |part| part.kind == :ear_back }
            step(key, technique, 1, gives: [:"hung_#{at}", *[row[at], *beside].map(&:kind)], last: row[at].kind == :ear_wire,
              values: { ring: row[at], hung: beside },
              text: :"findings_#{JOINING.fetch(row[at].kind).first}")
          end
        end

        # @return [Symbol, nil] the fact that what opens at this place was hung
        def opened(at)
          :"hung_#{at}" if opening_keys.key?(at)
        end

        # @return [Hash{Integer=>String}] the step that opens each part of the row that can be opened, by its place
        def opening_keys
          @opening_keys ||= begin
            seen = Hash.new(0)
            row.each_index.select { |at| row[at].opens? && JOINING.key?(row[at].kind) }.to_h do |at|
              key = JOINING.fetch(row[at].kind).first
              number = seen[key] += 1
              [at, number == 1 ? key : "#{key}_#{number}"]
            end
          end
        end

        def row_end(at)
          Making::Attachment.new(item: row[at], opened_with: opened(at))
        end

        def joins
          hung = row.reject { |part| part.kind == :ear_back }
          hanging = hung.each_cons(2).reject { |a, b| a == b }.map do |a, b|
            ring, other = a.kind == :ring ? [a, b] : [b, a]
            Making::Join.new(kind: :hangs_in, inner: other, outer: ring, at: 0.0)
          end
          hanging + facing
        end

        # A pendant faces front or aside by the number of quarter turns above it: rings, and links whose eyes stand across.
        def facing
          at = row.index { |part| part.kind == :pendant } or return []
          turning = row.first(at).select(&:turns?)
          [Making::Join.new(kind: :faces, inner: row[at], outer: turning.last || row[at], at: 0.0, passes: turning.size)]
        end

        # A chain that takes the clasp is drawn drawn up to its tightest.
        def layout
          edge = 0.0
          row.map do |part|
            taken = taken(part).to_mm
            edge += taken
            part_shape(part, part.kind, edge - (taken / 2)).with(along: part.kind == :chain ? taken : part.drawn_along.to_mm)
          end
        end
      end
    end
  end
end
