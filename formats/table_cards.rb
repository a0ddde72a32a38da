# frozen_string_literal: true

module Formats
  # What lies on the table beside one person's work: rows and flowers to tick, strands to load
  # with the disc they go on, places to mark a line by.
  class TableCards
    # @param kind :rows, :weave, :loading, :disc or :marks
    # @param true_mm [Float, nil] the width at which it is printed; nil where its size does not matter
    Card = Core::Value.define(:kind, :title, :words, :svg, :true_mm)

    WIDE = TrueSize::Sheet::WIDEST + (2 * TrueSize::Sheet::MARGIN)

    # @param person [Core::Planning::PersonPlan]
    def initialize(person, unit: :mm)
      @person = person
      @unit = unit
    end

    # @return [Boolean]
    def any?
      @person.fitted? && (made.any? || @person.loading.any?)
    end

    # @return [Array<Card>]
    def cards
      return [] unless @person.fitted?

      loading + made.map { |made| card(made) }
    end

    # @return [Card, nil] the disc with its strands, where there is one
    def disc
      start = made.grep(Core::Making::DiscStart).first
      start && card(start)
    end

    private

    def made
      @made ||= @person.piece.work_ups.values.flat_map { |work_up| work_up.cards.value }
    end

    def loading
      return [] if @person.loading.empty?

      [Card.new(kind: :loading, title: say('loading_card.heading'), words: say('loading_card.words'),
        svg: TrueSize::LoadingCardSvg.new(@person.loading).to_s, true_mm: WIDE)]
    end

    def card(made)
      case made
      when Core::Making::RowCard
        Card.new(kind: :rows, title: say("row_card.roles.#{made.role}", count: made.number),
          words: say('row_card.words', bead: made.bead, count: made.beads), svg: TrueSize::RowCardSvg.new(made).to_s, true_mm: WIDE)
      when Core::Making::WeaveChart
        Card.new(kind: :weave, title: say('weave_chart.heading', count: made.petals.size),
          words: say('weave_chart.words', middle: Core::Making::FromBag.new(parts: [made.middle])),
          svg: TrueSize::WeaveChartSvg.new(made).to_s, true_mm: WIDE)
      when Core::Making::MarkedLine
        Card.new(kind: :marks, title: say('marked_line.heading', line: made.line, layer: made.layer),
          words: say('marked_line.words', count: made.spans.size), svg: TrueSize::MarkedLineSvg.new(made).to_s, true_mm: WIDE)
      else disc_card(made)
      end
    end

    def disc_card(start)
      mirrored = @person.attendee.left_handed?
      title = say('disc.heading', strands: start.strands)
      Card.new(kind: :disc, title: title, words: say(mirrored ? 'disc.words_mirrored' : 'disc.words'),
        svg: DiscSvg.new(start, title: title, mirrored: mirrored).to_s, true_mm: nil)
    end

    def say(key, **values)
      Wording.say(key, unit: @unit, **values)
    end
  end
end
