# frozen_string_literal: true

module Core
  module Steps
    # What someone practises with before a first use, out of the very parts and lines of the piece: "crimp x 2", "line 200 mm".
    class PracticeBag
      # @param kind of part, :line for a length of line
      # @param length of line, nil for parts
      Takes = Value.define(:kind, :count, length: nil)

      WRITTEN = /\A(?<kind>[a-z_ ]+?)\s*(?:[x×]\s*(?<count>[1-9]\d?)|(?<length>\d.*))\z/i

      # @param text [String] @return [Takes, nil] nil where it does not read
      def self.read(text)
        found = WRITTEN.match(text.strip) or return
        kind = found[:kind].strip.downcase.tr(' ', '_').to_sym
        return Takes.new(kind: kind, count: found[:count].to_i) if found[:count]

        Takes.new(kind: :line, count: 1, length: Measure::Length.parse(found[:length])) if kind == :line
      rescue Measure::NotALength
        nil
      end

      # @param technique [Technique] @return [Array<Takes>] what practising it takes, as far as it reads
      def self.takes(technique)
        technique.practice_takes.filter_map { |text| read(text) }
      end

      # @param practised [Array<(Array<Takes>, Making::StepUse)>] what each technique takes, with the first step that uses it
      # @param piece [Sizing::Piece]
      def initialize(practised, piece)
        @practised = practised
        @piece = piece
      end

      # @return [Array<Making::PartUse>] of kinds the piece has; what is made apart is not practised with
      def parts
        @parts ||= takes.filter_map do |one, step|
          use = one.length.nil? && uses(step).find { |known| known.part.kind == one.kind }
          use && Making::PartUse.new(part: use.part, count: one.count, role: :practice)
        end
      end

      # @return [Array<Making::Cut>] of the line that the step works, or its component's first
      def cuts
        @cuts ||= takes.filter_map do |one, step|
          line = one.length && line_of(step) or next
          Making::Cut.new(line: line, count: 1, role: :practice, body: one.length, consumption: Measure::Length::ZERO,
            tails: Measure::Length::ZERO)
        end
      end

      private

      # @return [Array<(Takes, Making::StepUse)>]
      def takes
        @takes ||= @practised.flat_map { |takes, step| takes.map { |one| [one, step] } }
      end

      def work_up(step)
        @piece.work_ups.fetch(step.component)
      end

      # Of its own component first, then of the whole piece.
      def uses(step)
        (work_up(step).parts + @piece.parts).reject { |use| use.part.made? }
      end

      def line_of(step)
        step.line || (work_up(step).cuts + @piece.cuts).first&.line
      end
    end
  end
end
