# frozen_string_literal: true

module Core
  module Fit
    # Runs the rules over pieces. Joins that are alike are judged once, however many pieces hold them.
    class Check
      # @param table [Catalogue::Table] @param open_rings [Symbol] :warn or :forbid
      def initialize(table, open_rings: :warn)
        rules = Rules.all.select(&:judges).map { |rule| rule.new(table, open_rings: open_rings) }
        @by_kind = rules.flat_map { |rule|
          rule.class.judges.map { |kind|
            [kind, rule]
          }
        }.group_by(&:first).transform_values { |pairs| pairs.map(&:last) }
        @piece_rules = Rules.all.select(&:judges_pieces?).map { |rule| rule.new(table, open_rings: open_rings) }
        @person_rule = Rules::SuitsPerson.new(table, open_rings: open_rings)
        @judged = {}.compare_by_identity
      end

      # @param piece [Sizing::Piece] @return [Array<Result>] worst first; each kind of join once
      def piece(piece)
        firsts = piece.joins.each_with_object({}.compare_by_identity) { |join, found| found[judged(join)] ||= join }
        order(firsts.flat_map { |findings, join| about(findings, join) } + @piece_rules.flat_map { |rule| rule.on(piece) })
      end

      # @return [Array<Result>] what this person's own circumstances add
      def person(attendee, piece, design)
        @person_rule.for(attendee, piece, design)
      end

      # @param join [Making::Join] @return [Array<Result>] one of each rule that judges this kind
      def judge(join)
        about(judged(join), join)
      end

      ORDER = %i[will_not unknown tight press watch fits].freeze

      private

      # @return [Array<Result>] the same object for all joins that are alike
      def judged(join)
        alike = (@judged[join.inner] ||= {}.compare_by_identity)[join.outer] ||= {}
        alike[[join.kind, join.passes, join.component, join.in_place, join.loop, join.swollen]] ||=
          @by_kind.fetch(join.kind, []).map { |rule| rule.call(join) }
      end

      def about(findings, join)
        findings.map { |finding| finding.at == join.at ? finding : finding.with(join: join) }
      end

      def order(findings)
        findings.group_by(&:status).values_at(*ORDER).compact.flatten(1)
      end
    end
  end
end
