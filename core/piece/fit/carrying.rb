# frozen_string_literal: true

module Core
  module Fit
    # What a piece weighs, and how much each line and joint that carries it is asked to bear of what it holds: a chain of load is as strong
    # as its weakest link.
    class Carrying
      # One line or joint.
      #
      # @param name of the line or part @param grams that hang from it @param holds grams
      # @param share of what it holds that a tug asks for, see Load::SAFETY
      Link = Value.define(:name, :grams, :holds, :share)

      RULES = %i[line_bears joint_bears].freeze

      # @param piece [Sizing::Piece] @param findings [Array<Result>] of it
      def initialize(piece, findings)
        @piece = piece
        @findings = findings
      end

      # @return [Float, nil] nil where the weight of a part is not known
      def grams
        scales = Catalogue::Scales.new
        bought = @piece.parts.reject { |use| use.part.made? }
        scales.grams(bought) if scales.unknown(bought).empty?
      end

      # @return [Array<Link>] the weakest first
      def links
        judged = @findings.select { |found| RULES.include?(found.rule) && found.values[:grams] }
        judged.map { |found| link(found.values) }.sort_by { |one| [-one.share, one.name] }
      end

      private

      def link(values)
        holds = values[:rated] || values[:holds]
        Link.new(name: (values[:line] || values[:part]).to_s, grams: values[:grams], holds: holds, share: values[:asked].fdiv(holds))
      end
    end
  end
end
