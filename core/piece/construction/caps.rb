# frozen_string_literal: true

module Core
  module Construction
    # Caps in a row of beads: which bead each one covers. They come in pairs about a bead: the first faces on, the second back. A single one
    # faces the neighbour that it suits.
    module Caps
      # Beyond a quarter wider than its bead a cap covers nothing any more (from memory).
      SWALLOWING = 1.25

      private

      # @param row [Array<Catalogue::Part>] threaded one after the other
      # @param at [Array<Float>] where the middle of each lies, in millimetres
      # @param mirror [Boolean] whether the second half of the row is the first turned round
      # @return [Array<Join>] of each cap with the bead it sits on
      def cap_joins(row, at, mirror: false)
        return [] if row.none? { |part| part.kind == :cap }

        faced(row.map { |part| part.kind == :cap }, mirror).map do |cap, found|
          bead = suited(row, cap, found)
          Making::Join.new(kind: :cap_on_bead, inner: row[bead], outer: row[cap], at: at[cap])
        end
      end

      # @return [Integer] the place of the other neighbour, where the cap would swallow the one found and that is nearer to its width
      def suited(row, cap, found)
        other = (cap * 2) - found
        return found if other.negative? || row[other].nil? || row[other].kind == :cap

        swallowed = row[cap].outer > row[found].outer * SWALLOWING
        nearer = (row[other].outer - row[cap].outer).abs < (row[found].outer - row[cap].outer).abs
        swallowed && nearer ? other : found
      end

      # @param caps [Array<Boolean>] by place
      # @return [Hash{Integer=>Integer}] place of a cap to that of the bead it faces
      def faced(caps, mirror)
        last = caps.size - 1
        back = {}
        caps.each_index.select { |i| caps[i] }.to_h do |i|
          next [i, last - faced_by(last - i, caps, back)] if mirror && i * 2 > last

          [i, faced_by(i, caps, back)]
        end.select { |_, bead| bead.between?(0, last) && !caps[bead] }
      end

      def faced_by(place, caps, back)
        back[place] = place >= 2 && !caps[place - 1] && caps[place - 2] && !back[place - 2] if back[place].nil?
        back[place] ? place - 1 : place + 1
      end
    end
  end
end
