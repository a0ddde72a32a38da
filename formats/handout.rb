# frozen_string_literal: true

module Formats
  # One attendee's sheet as a list of blocks: the page and the PDF are made from it, so that both say the same. Texts are escaped, with <b>
  # around what stands out.
  class Handout
    # @param kind :title, :worn, :text, :drawing, :heading, :ticks, :steps, :figure, :list, :important or :small
    # @param items texts, or StepList::Steps
    # @param svg a drawing
    # @param caption below it
    # @param wide [Float, nil] millimetres that a drawing is wide on paper, nil where it takes all there is
    # @param from the number of its first step
    Block = Core::Value.define(:kind, text: '', items: [].freeze, svg: nil, caption: '', from: 1, wide: nil)

    # The ruler of a piece that is drawn at true size: as long as the paper allows.
    TRUE_SPAN = TrueSize::Sheet::WIDEST - (2 * PieceSvg::MARGIN)

    # @param plan [Core::Planning::Plan] @param person [Core::Planning::PersonPlan] @param span [Float] the ruler all drawings share, in
    #   millimetres
    # @param lit [Boolean] whether the piece as it is worn is drawn with light on it
    def initialize(plan, person, span:, unit: :mm, lit: true)
      @lit = lit
      @plan = plan
      @person = person
      @span = span
      @unit = unit
    end

    # @return [Boolean] whether it is printed large: for who sees little
    def large?
      @person.attendee.needs.low_vision
    end

    # @return [Core::Planning::PersonPlan] whose it is
    attr_reader :person

    # @return [Array<Block>]
    def blocks
      [*worn, block(:title, name), block(:text, safe(about)), *(@person.fitted? ? fitted : [unfitted])]
    end

    private

    def fitted
      [drawn, block(:text, sizes),
       *care, *bag, *loading, *disc, *steps, *threads, *spared, block(:small, own('local_rules'))]
    end

    # What it will look like, beside the name.
    # @return [Array<Block>]
    def worn
      return [] unless @person.fitted?

      [block(:worn, svg: WornSvg.new(shown.piece, title: @plan.design.name, lit: @lit).to_s)]
    end

    # One size stands for all who work it the same way in these colours, so that it is drawn once.
    def shown
      @plan.people.find { |one| one.fitted? && looks(one) == looks(@person) } || @person
    end

    def looks(person)
      [person.attendee.colourway, (@own_ways ||= @plan.own_ways).for(person.attendee).map(&:key)]
    end

    # The piece is tried on where its length is looked at, else at the last look before it is closed.
    # @return [Array<Block>]
    def steps
      items = StepList.new(@person, @unit).steps
      checks = @person.tasks.each_index.select { |i| @person.tasks[i].step.checkpoint }
      look = checks.reverse.find { |i| @person.tasks[i].step.gives.include?(:length) } || checks.last
      change = try_on
      early = change.any? && look && look + 1 < items.size ? look + 1 : items.size
      later = items.drop(early)
      [block(:heading, own('steps')), *alike, Block.new(kind: :steps, items: items.first(early)), *change,
       (Block.new(kind: :steps, items: later, from: early + 1) if later.any?)].compact
    end

    # @return [Array<Block>] said where a person makes several of the piece
    def alike
      made = @plan.design.made
      made > 1 ? [block(:text, safe(Wording.say('sizes.made_alike', count: made)))] : []
    end

    def unfitted
      block(:text, safe(Wording.unfitted(@person.piece, unit: @unit)))
    end

    def block(kind, text = '', **rest)
      Block.new(kind: kind, text: text, **rest)
    end

    def safe(text)
      Markup.safe(text)
    end

    # @param key [String] of what stands on the sheet alone
    def own(key, **values)
      Wording.say("handout.#{key}", unit: @unit, **values)
    end

    def length(value)
      LengthPrint.call(value, @unit)
    end

    def name
      safe(@person.attendee.name)
    end

    def about
      workshop = @plan.workshop
      project = [@plan.design.name, @person.attendee.colourway].compact.join(', ')
      "#{project} · #{workshop.title}, #{workshop.date.strftime('%A %-d %B %Y')}, #{workshop.start}"
    end

    def sizes
      assumed = " (#{own('assumed')})" if @person.assumed
      beads = "<b>#{own('beads', count: @person.bead_count)}</b>"
      "#{measures}#{assumed}#{doubt} · #{beads} · #{own('work', minutes: @person.working_minutes.round)}"
    end

    # What does not close round a body has one length.
    def measures
      piece = @person.piece
      return "<b>#{Wording.piece_size(piece, unit: @unit)}</b>" unless piece.round

      key = piece.worn_shortest < piece.inside ? 'measures_down_to' : 'measures'
      own(key, flat: piece.laid_flat, inside: piece.inside, shortest: piece.worn_shortest)
    end

    def doubt
      by = @person.piece.doubt
      by.positive? ? " (#{Wording.say('size_doubt', unit: @unit, by: by)})" : ''
    end

    # At true size where the paper allows, for all of one class alike.
    def drawn
      piece = @person.piece
      svg = PieceSvg.new(piece.layout, title: @person.attendee.name, span_mm: true_size? ? TRUE_SPAN : @span, unit: @unit,
        marks: FinishedSize.marks(piece, @unit), true_size: true_size?).to_s
      Block.new(kind: :drawing, svg: svg, caption: own(true_size? ? 'true_size' : 'drawn_smaller'),
        wide: (TrueSize::Sheet::WIDEST if true_size?))
    end

    def true_size?
      return @true_size unless @true_size.nil?

      shapes = @plan.people.select(&:fitted?).flat_map { |one| one.piece.layout }
      @true_size = shapes.all? { |shape| shape.x.abs + (shape.along / 2) <= TRUE_SPAN + PieceSvg::MARGIN }
    end

    def bag
      parts = @person.needs.map { |need| "<b>#{need.count}</b> × #{safe(need.part.name)} (#{safe(need.part.mark)})" }
      cuts = @person.cuts.reject { |cut| cut.role == :practice }.map { |cut| "#{cut_words(cut)} (#{use_of(cut)})" }
      [block(:heading, own('bag')), Block.new(kind: :ticks, items: parts + cuts + practice),
       block(:text, safe(own('tools', tools: Wording.tools(@person.tools, @plan.table))))]
    end

    def cut_words(cut)
      "<b>#{cut.count} × #{length(cut.length)}</b> #{safe(cut.line.name)}"
    end

    def use_of(cut)
      safe(Wording.say("cut_uses.#{cut.role}"))
    end

    # Cuts alike lie together.
    def practice
      bag = @person.practice or return []
      parts = bag.parts.map { |use| "<b>#{use.count}</b> × #{safe(use.part.name)} (#{own('practice')})" }
      parts + @person.cuts.select { |cut| cut.role == :practice }.map { |cut| "#{cut_words(cut)} (#{own('practice')})" }
    end

    def threads
      mirrored = @person.attendee.left_handed?
      @person.thread_ways.map do |way|
        Block.new(kind: :figure, text: own('thread'), svg: ThreadSvg.new(way, title: own('thread'), mirrored: mirrored).to_s,
          caption: own(mirrored ? 'thread_mirrored' : 'thread_caption'))
      end
    end

    def loading
      strands = @person.loading.map { |strand, runs| safe(Wording.loading(strand, runs)) }
      strands.empty? ? [] : [block(:heading, own('loading')), Block.new(kind: :list, items: strands)]
    end

    # Numbers of the loading list stand in its slots.
    def disc
      card = TableCards.new(@person, unit: @unit).disc
      card ? [block(:figure, card.title, svg: card.svg, caption: card.words)] : []
    end

    def try_on
      changes = @person.try_on(@plan.table).map { |change| safe(Wording.try_on(change, unit: @unit)) }
      return [] if changes.empty?

      key = @person.piece.round ? 'try_on' : 'measure_it'
      [block(:heading, own("#{key}.heading")), block(:text, own("#{key}.asked", worn: @person.piece.worn)),
       Block.new(kind: :list, items: changes)]
    end

    def spared
      done = @person.spared.map { |step, reason| "#{Wording.step(step, unit: @unit)} (#{Wording.say("list_reasons.#{reason}")})" }
      done.empty? ? [] : [block(:small, safe(own('done_for_you', steps: done.join(' '))))]
    end

    def care
      wear = Wording.say('wear_from', date: (@plan.workshop.date + 1).strftime('%A %-d %B')) if @person.cures?
      [wear, *Wording.care(@person, unit: @unit)].compact.map { |words| block(:important, safe(words)) }
    end
  end
end
