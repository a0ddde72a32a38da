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
      # @param at millimetres along the drawing where it lies, nil where it is not drawn
      # @param finding [Result] that judged it
      Link = Value.define(:name, :grams, :holds, :share, :at, :finding)

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
        judged.map { |found| link(found, found.values) }.sort_by { |one| [-one.share, one.name] }
      end

      private

      def link(found, values)
        holds = values[:rated] || values[:holds]
        Link.new(name: (values[:line] || values[:part]).to_s, grams: values[:grams], holds: holds, share: values[:asked].fdiv(holds),
          at: place(found.join), finding: found)
      end

      # A part where it is drawn first; a line in the middle of the component that it runs through.
      def place(join)
        item = join.inner
        drawn = @piece.layout.select { |shape| item.is_a?(Catalogue::Part) ? shape.item == item : shape.owner == join.component }
        drawn.any? ? (item.is_a?(Catalogue::Part) ? drawn.first.x : drawn.map(&:x).minmax.sum / 2) : nil
      end
    end
  end
end
