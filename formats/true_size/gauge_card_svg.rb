# frozen_string_literal: true

module Formats
  module TrueSize
    # What of a project is held against a drawing: the inside of each loop and eye, the pegs, rings, and how thick lines are. So that all
    # pairs of the class match.
    class GaugeCardSvg
      include Sheet

      # One thing to hold against it. across: millimetres
      Gauge = Core::Value.define(:across, :words)
      COLUMN = 60.0
      LEAST_ROW = 9.0
      LINES_HIGH = 7.0

      # @param piece [Core::Sizing::Piece] @param unit [Symbol]
      def initialize(piece, unit: :mm)
        @piece = piece
        @unit = unit
      end

      def empty?
        circles.empty? && lines.empty?
      end

      # @return [String]
      def to_s
        rows = circles.each_slice((WIDEST / COLUMN).floor).to_a
        top = 0.0
        drawn = rows.map do |row|
          high = [row.map(&:across).max + 4, LEAST_ROW].max
          row.each_with_index.map { |gauge, i| circle(gauge, i * COLUMN, top + (high / 2)) }.join.tap { top += high }
        end
        top += 2
        drawn += lines.each_with_index.map { |gauge, i| line(gauge, top + (i * LINES_HIGH) + 3) }
        top += lines.size * LINES_HIGH
        page(top + 8, Wording.say('gauge_card.title'), drawn.join + check_bar(0, top + 5))
      end

      private

      # @return [Array<Gauge>] smallest first
      def circles
        @circles ||= (eyes + loops + rings + pegs).uniq.sort_by { |gauge| [gauge.across, gauge.words] }
      end

      def pictured
        @pictured ||= @piece.steps.map(&:pictured).compact.uniq
      end

      def eyes
        pictured.grep(Core::Making::WireEye).map { |eye| gauge(eye.inside, 'eye') }
      end

      def loops
        made = pictured.grep(Core::Making::LineEnd).reject { |one| one.loop_length.zero? }
        made.map { |one| gauge(one.loop_length, 'loop') }
      end

      def pegs
        boards = pictured.grep(Core::Making::PegBoard).flat_map(&:pegs)
        boards.map { |peg| gauge(Core::Measure::Length.mm(peg.across), 'peg') }
      end

      def rings
        parts = @piece.parts.map(&:part).uniq.select { |part| Core::Catalogue::Part::RINGS.include?(part.kind) }
        parts.map { |part| Gauge.new(across: part.outer.to_mm, words: "#{ItemNames.name(part)} (#{part.mark})") }
      end

      def gauge(length, what)
        Gauge.new(across: length.to_mm, words: Wording.say("gauge_card.#{what}", unit: @unit, inside: length))
      end

      def lines
        @lines ||= @piece.cuts.map(&:line).uniq.map { |line| Gauge.new(across: line.thickness.to_mm, words: line.name) }
      end

      def circle(gauge, left, middle)
        radius = gauge.across / 2
        x = left + [radius, 6].max
        %(<circle cx="#{n(x)}" cy="#{n(middle)}" r="#{n(radius)}" fill="#{PALE}" stroke="#{INK}" stroke-width="0.2"/>) +
          words(gauge.words, x + [radius, 6].max + 1.5, middle + 1, size: 2.8)
      end

      def line(gauge, y_mm)
        stroke("M0 #{n(y_mm)}h30", wide: n([gauge.across, 0.1].max)) + words(gauge.words, 33, y_mm + 1, size: 2.8)
      end
    end
  end
end
