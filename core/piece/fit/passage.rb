# frozen_string_literal: true

module Core
  module Fit
    # Lines in a hole that must let them pass, and for some purposes hold them: the rules of a class and the quick check judge by it alike.
    class Passage
      # Room that lines need beside themselves to pass (from memory).
      CLEARANCE = Measure::Length.mm(0.05)

      # @param parts kinds of part that it is asked of
      # @param cleared whether they need that room
      # @param loosest the widest hole, as a multiple of the lines, nil as large as it likes
      # @param loose what a wider one is
      # @param refused the multiple beyond which it will not do at all, nil for none
      # @param slipping the multiple from which it may not hold, nil for none
      Purpose = Value.define(:parts, cleared: true, loosest: nil, loose: :will_not, refused: nil, slipping: nil)

      PURPOSES = {
        hole: Purpose.new(parts: %i[bead finishing pendant]),
        ring: Purpose.new(parts: %i[ring]),
        # Wider, a crimp leaves a gap when flattened, and needs care (from memory); a 2 mm tube of 1.3 bore on two lines of 0.38 is common
        # practice. Beyond twice the lines it does not grip (from memory).
        crimp: Purpose.new(parts: %i[crimp], loosest: Rational(8, 5), loose: :tight, refused: 2),
        # Wider, what is glued in has room to slip out (from memory).
        cord_end: Purpose.new(parts: %i[cord_end], cleared: false, loosest: Rational(5, 4), loose: :tight),
        # Strands that are bound and glued are thicker than the tightest bundle: up to 1.6 times (from memory). Wider, they can slip out.
        bound_end: Purpose.new(parts: %i[cord_end], cleared: false, loosest: Rational(8, 5), loose: :tight),
        # Wider, what should hold by friction slips (from memory).
        spacer: Purpose.new(parts: %i[bead finishing], cleared: false, loosest: Rational(5, 4), slipping: Rational(9, 8))
      }.freeze

      # @param status :fits, :tight or :will_not
      # @param outcome :too_small, :loose, :may_slip, :tight or :fits
      # @param margin room left, or lacking
      Judged = Value.define(:status, :outcome, :margin)

      # @param purpose [Symbol] a key of PURPOSES @param needed [Measure::Length] across all lines @param hole [Measure::Length]
      # @param widest [Rational, nil] the widest hole as a multiple of the lines, in place of what is usual for the purpose
      # @return [Judged]
      def self.judge(purpose, needed, hole, widest: nil)
        rule = PURPOSES.fetch(purpose)
        loosest = widest ? needed * widest : loosest(purpose, needed)
        return Judged.new(status: :will_not, outcome: :too_small, margin: hole - needed) if hole < needed

        if loosest && hole > loosest
          status = rule.refused && hole > needed * rule.refused ? :will_not : rule.loose
          return Judged.new(status: status, outcome: :loose, margin: loosest - hole)
        end
        return Judged.new(status: :tight, outcome: :may_slip, margin: hole - needed) if rule.slipping && hole > needed * rule.slipping

        tight = rule.cleared && hole < needed + CLEARANCE
        Judged.new(status: tight ? :tight : :fits, outcome: tight ? :tight : :fits, margin: hole - needed)
      end

      # @return [Measure::Length, nil]
      def self.loosest(purpose, needed)
        PURPOSES.fetch(purpose).loosest&.then { |times| needed * times }
      end

      # @return [Boolean]
      def self.fits?(purpose, needed, hole, widest: nil)
        judge(purpose, needed, hole, widest: widest).status == :fits
      end
    end
  end
end
