# frozen_string_literal: true

module Core
  module Fit
    # A quick check outside any class: these lines through this hole, crimp, ring, glued end or holding spacer.
    module QuickCheck
      MOST_LINES = 10
      # Crimping pliers come in three sizes; each presses crimps up to so many millimetres across (common practice, no source).
      PLIERS_MM = { small: 1.6, middle: 2.3, large: Float::INFINITY }.freeze
      MOST_UNEQUAL = CirclePacking::MOST_UNEQUAL

      # @param status :fits, :tight or :will_not
      # @param margin room left, or what is lacking
      # @param needed the hole these lines need
      # @param loosest the widest that still holds, nil without a limit
      # @param packed CirclePacking::Packed in millimetres
      # @param lines [Catalogue::Line] of the studio that would do with as many passes, parts: [Catalogue::Part] that would do
      Answer = Value.define(:status, :code, :margin, :needed, :loosest, :packed, :lines, :parts)

      module_function

      # @param purpose [Symbol] a key of Passage::PURPOSES @param lines [Array<Measure::Length>] one thickness for each pass
      # @param hole [Measure::Length] @param table [Catalogue::Table] @return [Answer]
      def ask(purpose, lines, hole, table)
        needed = needed_for(lines)
        judged = Passage.judge(purpose, needed, hole)
        Answer.new(status: judged.status, code: judged.outcome, needed: needed, loosest: Passage.loosest(purpose, needed),
          margin: judged.margin,
          packed: CirclePacking.pack(lines.map(&:to_mm)), lines: suited_lines(purpose, lines.size, hole, table),
          parts: suited_parts(purpose, needed, table))
      end

      # @param part [Catalogue::Part] @return [Symbol, nil] the pliers that press it, nil for what is not pressed
      def pliers(part)
        PLIERS_MM.find { |_, widest| part.outer.to_mm <= widest }.first if part.kind == :crimp
      end

      # @return [Measure::Length]
      def needed_for(lines)
        Measure::Length.mm(CirclePacking.diameter(lines.map(&:to_mm)))
      end

      def suited_lines(purpose, passes, hole, table)
        table.lines.values.select { |line| Passage.fits?(purpose,
          line.pulled * Measure::Bundle.ratio(passes), hole) }.sort_by { |line| [line.thickness, line.key] }
      end

      def suited_parts(purpose, needed, table)
        drilled = table.parts.values.select { |part| Passage::PURPOSES.fetch(purpose).parts.include?(part.kind) && part.hole }
        drilled.select { |part| Passage.fits?(purpose, needed, part.hole) }.sort_by { |part| [part.hole, part.key] }
      end
      private_class_method :needed_for, :suited_lines, :suited_parts
    end
  end
end
