# frozen_string_literal: true

module Formats
  module Pdf
    # A page or two for each attendee: their piece drawn to scale, what is in their bag, their steps with their numbers.
    class Handouts < Paper
      # Of the page's width, for one picture of a technique.
      PICTURE_SHARE = 0.14

      # @param plan [Core::Plan] @param span [Float] the ruler all drawings share, in millimetres
      # @yieldparam share [Float] how many are done
      def initialize(plan, span:, unit: :mm, size: 'A4', &progress)
        super(title: "#{plan.workshop.title}: handouts", unit: unit, size: size)
        @plan = plan
        @span = span
        plan.people.each_with_index do |person, index|
          progress&.call(index.fdiv(plan.people.size))
          pdf.start_new_page if index.positive?
          handout(person)
        end
        line('Nobody is in this class yet.') if plan.people.empty?
      end

      private

      def handout(person)
        workshop = @plan.workshop
        line(person.attendee.name, size: 20, style: :bold)
        colourway = person.attendee.colourway && ", #{person.attendee.colourway}"
        line("#{@plan.design.name}#{colourway} · #{workshop.title}, #{workshop.date.strftime('%A %-d %B %Y')}, #{workshop.start}")
        return line(Wording.unfitted(person.piece, unit: unit)) unless person.fitted?

        pdf.move_down(6)
        drawing(PieceSvg.new(person.piece.layout, title: person.attendee.name, span_mm: @span, unit: unit).to_s)
        flat, inside = length(person.piece.on_line), length(person.piece.inside)
        rich("<b>#{flat}</b> laid flat, <b>#{inside}</b> inside · <b>#{person.bead_count}</b> beads")
        bag(person)
        steps(person)
        weaving(person)
        try_on(person)
        care(person)
        pdf.move_down(6)
        line('Local rules and licensed practice come first.', size: SMALL)
      end

      def bag(person)
        heading('In your bag')
        pdf.column_box([0, pdf.cursor], columns: 2, width: pdf.bounds.width, height: [pdf.cursor, bag_height(person)].min) do
          person.needs.each { |need| tick("<b>#{need.count}</b> × #{safe(need.part.name)} (#{safe(need.part.mark)})", size: 9.5) }
          person.cuts.each { |cut| tick("<b>#{cut.count} × #{length(cut.length)}</b> #{safe(cut.line.name)}", size: 9.5) }
        end
        practice(person.practice)
        rich("Tools: #{safe(person.tools.map { |key, count|
          "#{"#{count} " if count > 1}#{@plan.table.tool(key).name.downcase}"
        }.join(', '))}", size: 9.5)
      end

      def practice(bag)
        return if bag.nil?

        words = bag.parts.map { |use| "#{use.count} × #{use.part.name}" } + bag.cuts.map { |cut|
 "#{length(cut.length)} of #{cut.line.name}" }
        rich("For practice, out of these: #{safe(words.join(', '))}.", size: 9.5) if words.any?
      end

      def bag_height(person)
        (((person.needs.size + person.cuts.size + 1) / 2) * 15) + 4
      end

      def steps(person)
        heading('Step by step')
        person.tasks.each_with_index do |task, index|
          text = "#{index + 1}. #{safe(Wording.step(task.step, unit: unit))}"
          text += " (#{safe(Wording.say("list_reasons.#{task.reason}"))})" if task.reason
          task.step.checkpoint ? tick("<b>#{text}</b>") : rich(text)
          pdf.indent(14) {
            rich("<b>Left hand:</b> #{safe(task.left_hand(person.attendee))}", size: SMALL)
          } unless task.left_hand(person.attendee).empty?
          (task.technique.cautions + task.step.cautions).uniq.each { |caution|
            pdf.indent(14) {
              rich("<b>Caution:</b> #{safe(Wording.say("cautions.#{caution}"))}", size: SMALL)
            }
          }
          technique(person, task)
          person.faults_at(task).each { |fault| pdf.indent(14) { line(Wording.fault(fault), size: SMALL) } }
          pdf.move_down(2)
        end
      end

      def technique(person, task)
        return unless person.first_of_technique?(task) && TechniqueSvg.drawn?(task.technique.key)

        picture = TechniqueSvg.new(task.technique, mirrored: person.attendee.left_handed?)
        drawing(picture.to_s, share: picture.number * PICTURE_SHARE)
      end

      def weaving(person)
        person.thread_ways.each do |threads|
          heading('The way of the thread')
          drawing(ThreadSvg.new(threads, title: 'The way of the thread', mirrored: person.attendee.left_handed?).to_s)
          line('Black numbers for one needle, white numbers and a broken line for the other.', size: SMALL)
        end
        return if person.loading.empty?

        heading('Load the strands in this order')
        person.loading.each { |strand, runs| line(Wording.loading(strand, runs), size: 9.5) }
      end

      def try_on(person)
        changes = person.try_on(@plan.table)
        return if changes.empty?

        heading('Try it on before the last end is closed')
        rich("Measured inside: ________ Asked for: <b>#{length(person.piece.worn)}</b>. If it should be")
        changes.each { |change| pdf.indent(14) { line(Wording.try_on(change, unit: unit), size: 9.5) } }
      end

      def care(person)
        rich("<b>#{safe(Wording.say('wear_from', date: (@plan.workshop.date + 1).strftime('%A %-d %B')))}</b>") if person.cures?
        person.findings.select { |finding|
          finding.join.nil? && finding.worth_a_look?
        }.each { |finding| rich("<b>#{safe(Wording.finding(finding, unit: unit))}</b>") }
      end
    end
  end
end
