# frozen_string_literal: true

module Formats
  # One attendee's sheet as a list of blocks: the page and the PDF are made from it, so that both say the same. Texts are escaped, with <b>
  # around what stands out.
  class Handout
    # @param kind :title, :worn, :text, :drawing, :heading, :ticks, :steps, :figure, :list, :important or :small
    # @param items texts, or Steps
    # @param svg a drawing
    # @param caption below it
    # @param from the number of its first step
    Block = Core::Value.define(:kind, text: '', items: [].freeze, svg: nil, caption: '', from: 1)
    # One step.
    #
    # @param reason why it differs from the common way, nil where it does not
    # @param notes [Note]
    # @param pictures how many the drawing of its technique shows side by side
    # @param state drawing of the piece after it, nil where there is none
    # @param close_up [CloseUp::Picture, nil] what it makes, enlarged or at true size
    Step = Core::Value.define(:text, :checkpoint, :reason, :minutes, :notes, picture: nil, pictures: 1, close_up: nil, state: nil) do
      def pictured?
        [picture, close_up, state].any?
      end

      # @return [Array<String>] its numbers as they stand in it, for who does not read the language
      def numbers
        text.gsub(/<[^>]+>/, '').scan(NUMBER).uniq
      end
    end
    NUMBER = /\d[\d.,\u2212]*(?:\s?(?:mm|cm|in|min|×)\b|\s?×)?/
    # @param kind :order, :reach, :left_hand, :caution or :fault
    Note = Core::Value.define(:kind, :text)

    # Where the work stands when what is left is measured.
    # More at one step would fill the sheet.
    MOST_FAULTS = 2
    PRACTICE = 'to practise with'
    THREAD = 'The way of the thread'
    THREAD_CAPTION = 'Black numbers for one needle, white numbers and a broken line for the other.'

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
      [block(:drawing, svg: drawing(@person.piece.layout, marks: FinishedSize.marks(@person.piece, @unit))), block(:text, sizes),
       *care, *bag, *loading, *disc, *steps, *threads, *spared, block(:small, 'Local rules and licensed practice come first.')]
    end

    # What it will look like, beside the name.
    # @return [Array<Block>]
    def worn
      return [] unless @person.fitted?

      [block(:worn, svg: WornSvg.new(shown.piece, title: @plan.design.name, lit: @lit).to_s)]
    end

    # One size stands for all in these colours, so that it is drawn once.
    def shown
      @plan.people.find { |one| one.fitted? && one.attendee.colourway == @person.attendee.colourway } || @person
    end

    # The piece is tried on at the last look before it is closed.
    # @return [Array<Block>]
    def steps
      items = @person.tasks.map { |task| step(task) }
      look = @person.tasks.rindex { |task| task.step.checkpoint }
      change = try_on
      early = change.any? && look && look + 1 < items.size ? look + 1 : items.size
      later = items.drop(early)
      [block(:heading, 'Step by step'), *alike, Block.new(kind: :steps, items: items.first(early)), *change,
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
      assumed = ' (size assumed: measure first)' if @person.assumed
      beads = "<b>#{@person.bead_count} #{@person.bead_count == 1 ? 'bead' : 'beads'}</b>"
      "#{measures}#{assumed}#{doubt} · #{beads} · about #{@person.working_minutes.round} min of work"
    end

    # What does not close round a body has one length.
    def measures
      piece = @person.piece
      return "<b>#{Wording.piece_size(piece, unit: @unit)}</b>" unless piece.round

      range = ", and down to #{length(piece.worn_shortest)} by the links of its chain" if piece.worn_shortest < piece.inside
      "<b>#{length(piece.laid_flat)}</b> laid flat, inside <b>#{length(piece.inside)}</b>#{range}"
    end

    def doubt
      by = @person.piece.doubt
      by.positive? ? " (#{Wording.say('size_doubt', unit: @unit, by: by)})" : ''
    end

    def drawing(layout, **options)
      PieceSvg.new(layout, title: @person.attendee.name, span_mm: @span, unit: @unit, **options).to_s
    end

    def bag
      parts = @person.needs.map { |need| "<b>#{need.count}</b> × #{safe(need.part.name)} (#{safe(need.part.mark)})" }
      cuts = @person.cuts.reject { |cut| cut.role == :practice }.map { |cut| "#{cut_words(cut)} (#{use_of(cut)})" }
      [block(:heading, 'In your bag'), Block.new(kind: :ticks, items: parts + cuts + practice),
       block(:text, "Tools: #{safe(Wording.tools(@person.tools, @plan.table))}")]
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
      parts = bag.parts.map { |use| "<b>#{use.count}</b> × #{safe(use.part.name)} (#{PRACTICE})" }
      parts + @person.cuts.select { |cut| cut.role == :practice }.map { |cut| "#{cut_words(cut)} (#{PRACTICE})" }
    end

    def step(task)
      picture = picture(task)
      Step.new(text: safe(Wording.step(task.step, unit: @unit)), checkpoint: task.step.checkpoint, minutes: Wording.minutes(task.minutes),
        reason: task.reason && safe(Wording.say("list_reasons.#{task.reason}")), notes: notes(task), picture: picture&.to_s,
        pictures: picture&.number || 1, close_up: close_up(task.step), state: state(task.step))
    end

    def notes(task)
      left = task.left_hand(@person.attendee)
      cautions = cautions_at(task).map { |caution| Wording.say("cautions.#{caution}") }
      [*(Note.new(kind: :order, text: safe(ItemNames.order(task.step.order))) if task.step.order.uniq.size > 1),
       *reach(task.step),
       *(Note.new(kind: :left_hand, text: "Left hand: #{safe(left)}") unless left.empty?),
       *cautions.map { |words| Note.new(kind: :caution, text: safe(words)) },
       *faults(task).map { |fault| Note.new(kind: :fault, text: safe(Wording.fault(fault))) }]
    end

    # How much of a cut must be left on the way, to be held against it.
    # @return [Array<Note>]
    def reach(step)
      component, key = step.key.split('/')
      cuts = @person.piece.work_ups[component]&.cuts.to_a.select { |cut| cut.worked&.step == key }
      cuts.uniq(&:line).map do |cut|
        told = cut.worked.on_the_way.map { |done|
          Wording.say("reach.#{cut.worked.unit}", unit: @unit, number: done, left: cut.left_after(done))
        }
        key = cut.worked.ends > 1 ? 'reach.line_ends' : 'reach.line'
        Note.new(kind: :reach, text: safe(Wording.say(key, line: cut.line, told: told.join(', '))))
      end
    end

    # Each is told once, at the first step that it is for.
    def cautions_at(task)
      @cautioned ||= @person.tasks.each_with_object({}) { |one, first| cautions_of(one).each { |caution| first[caution] ||= one } }
      cautions_of(task).select { |caution| @cautioned[caution].equal?(task) }
    end

    def cautions_of(task)
      (task.technique.cautions + task.step.cautions).uniq
    end

    # Those of its technique at its first step alone.
    def faults(task)
      @step_faults ||= StepFaults.new(@person.piece, @person.tasks.map(&:step))
      @step_faults.at(task.step, (task.technique if @person.first_of_technique?(task))).first(MOST_FAULTS)
    end

    # How a technique goes, drawn at its first step; mirrored for a left-hander.
    def picture(task)
      return unless @person.first_of_technique?(task) && TechniqueSvg.drawn?(task.technique.key)

      TechniqueSvg.new(task.technique, mirrored: @person.attendee.left_handed?)
    end

    def close_up(step)
      CloseUp.of(step, title: Wording.step(step, unit: @unit), left_handed: @person.attendee.left_handed?)
    end

    # The piece as it is after a step, where the construction can draw it.
    def state(step)
      @work_state ||= Core::Sizing::WorkState.new(@person.piece, @person.tasks.map(&:step))
      moment = @work_state.after(step)
      moment && StateSvg.new(moment, title: "After: #{Wording.step(step, unit: @unit)}").to_s
    end

    def threads
      mirrored = @person.attendee.left_handed?
      @person.thread_ways.map do |way|
        Block.new(kind: :figure, text: THREAD, svg: ThreadSvg.new(way, title: THREAD, mirrored: mirrored).to_s,
          caption: "#{THREAD_CAPTION}#{' Mirrored for the left hand.' if mirrored}")
      end
    end

    def loading
      strands = @person.loading.map { |strand, runs| safe(Wording.loading(strand, runs)) }
      strands.empty? ? [] : [block(:heading, 'Load the strands in this order'), Block.new(kind: :list, items: strands)]
    end

    # Numbers of the loading list stand in its slots.
    def disc
      card = TableCards.new(@person, unit: @unit).disc
      card ? [block(:figure, card.title, svg: card.svg, caption: card.words)] : []
    end

    def try_on
      changes = @person.try_on(@plan.table).map { |change| safe(Wording.try_on(change, unit: @unit)) }
      return [] if changes.empty?

      round = @person.piece.round
      [block(:heading, round ? 'Try it on before the last end is closed' : 'Measure it before the last end is closed'),
       block(:text, "Measured#{' inside' if round}: ________ Asked for: <b>#{length(@person.piece.worn)}</b>. If it does not fit:"),
       Block.new(kind: :list, items: changes)]
    end

    def spared
      done = @person.spared.map { |step, reason| "#{Wording.step(step, unit: @unit)} (#{Wording.say("list_reasons.#{reason}")})" }
      done.empty? ? [] : [block(:small, "Done for you: #{safe(done.join(' '))}")]
    end

    def care
      wear = Wording.say('wear_from', date: (@plan.workshop.date + 1).strftime('%A %-d %B')) if @person.cures?
      [wear, *Wording.care(@person, unit: @unit)].compact.map { |words| block(:important, safe(words)) }
    end
  end
end
