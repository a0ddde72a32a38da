# frozen_string_literal: true

module Core
  module Fit
    # Runs the rules over pieces. Joins that are alike are judged once, however many pieces hold them.
    class Check
      JOIN_RULES = [Rules::LinesThroughHole,
                    Rules::CrimpGrips,
                    Rules::CoverCloses,
                    Rules::CapCovers,
                    Rules::EndTakesCord,
                    Rules::SpacerHolds,
                    Rules::RingHolds,
                    Rules::LoopMoves,
                    Rules::CanAssemble,
                    Rules::ElasticSuits,
                    Rules::FacesFront].freeze
      PIECE_RULES = [Rules::WireSuits, Rules::LineBears, Rules::ClaspHolds].freeze
      KEYS = [*JOIN_RULES, *PIECE_RULES, Rules::SuitsPerson].map(&:key).freeze

      # @param table [Catalogue::Table] @param open_rings [Symbol] :warn or :forbid
      def initialize(table, open_rings: :warn)
        rules = JOIN_RULES.map { |rule| rule.new(table, open_rings: open_rings) }
        @by_kind = rules.flat_map { |rule|
          rule.class.judges.map { |kind|
            [kind, rule]
          }
        }.group_by(&:first).transform_values { |pairs| pairs.map(&:last) }
        @piece_rules = PIECE_RULES.map { |rule| rule.new(table, open_rings: open_rings) }
        @person_rule = Rules::SuitsPerson.new(table, open_rings: open_rings)
        @judged = {}
      end

      # @param piece [Sizing::Piece] @return [Array<Finding>] worst first; each kind of join once
      def piece(piece)
        joins = piece.joins.uniq { |join| alike(join) }
        order(joins.flat_map { |join| judge(join) } + @piece_rules.flat_map { |rule| rule.on(piece) })
      end

      # @return [Array<Finding>] what this person's own circumstances add
      def person(attendee, piece, cautions, design)
        @person_rule.for(attendee, piece, cautions, design)
      end

      # @param join [Construction::Join] @return [Array<Finding>] one of each rule that judges this kind
      def judge(join)
        findings = @judged[alike(join)] ||= @by_kind.fetch(join.kind, []).map { |rule| rule.call(join) }
        findings.map { |finding| finding.with(join: join) }
      end

      ORDER = %i[will_not unknown tight press watch fits].freeze

      private

      def order(findings)
        findings.sort_by.with_index { |finding, i| [ORDER.index(finding.status), i] }
      end

      def alike(join)
        [join.kind, join.inner.key, join.outer.key, join.passes, join.component, join.in_place, join.loop]
      end
    end
  end
end
