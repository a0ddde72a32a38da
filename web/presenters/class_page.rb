# frozen_string_literal: true

module Web
  module Presenters
    # The page of one class: its sections, and what each of them shows.
    class ClassPage
      SECTIONS = %w[notice strip bench people piece fit materials cuts cost tools steps clock print].freeze
      # Those the section list and the number keys lead to.
      NAMED = %w[people piece fit materials cuts cost tools steps clock print].freeze
      # Room on the ruler for the words beside the last mark.
      LABEL_MM = 34
      # Sections that show which place is chosen.
      SEATED = %w[bench people piece fit clock].freeze
      # Sections that depend on the stock, on what can be bought and on what other classes claim.
      SUPPLIED = %w[strip materials cuts cost steps].freeze

      # Sections that show the forecast.
      FORECAST = %w[strip bench clock].freeze

      attr_reader :id, :title, :notice, :drafts

      # @param drafts [Hash] forms that were refused, with what was typed: {form => Draft}
      # @yieldparam section [String] @yieldreturn [String] its HTML
      # @param kept [#fragments, #forecasts, #searches, #jobs] what is kept between requests
      def initialize(studio, kept, id, revision, title, unit:, seat:, notice: nil, drafts: {}, &render)
        @studio = studio
        @kept = kept
        @fragments = kept.fragments
        @id = id
        @revision = revision
        @title = title
        @unit = unit
        @asked_seat = seat
        @notice = notice
        @drafts = drafts
        @render = render
      end

      attr_reader :revision, :unit

      # @return [Array<Fragments::Section>]
      def sections
        SECTIONS.map { |name| @fragments.section(name, cache_key(name)) { @render.call(name, self) } }
      end

      def stored
        @stored ||= @studio.classes.find(id)
      end

      def plan
        @plan ||= @studio.plan(stored)
      end

      # @return [ClassSupplies]
      def supplies
        @supplies ||= ClassSupplies.new(@studio, id, plan, unit)
      end

      # @return [Refining::Entry] begun when first asked for
      def forecast_entry
        @forecast_entry ||= @kept.forecasts.look(forecast_key) { Forecasting.work(plan, @studio.calibration) }
      end

      # @return [Refining::State] the same for all of this page
      def forecast
        @forecast ||= forecast_entry.state
      end

      # @return [ClassClock]
      def clock
        @clock ||= ClassClock.new(plan, @studio.calibration, forecast, search, seat)
      end

      # @return [Jobs::Job, nil] the search for levers of the class as it is
      def search
        @kept.searches.fetch(forecast_key) { false } || nil
      end

      # Looks for what would help, beside the pages.
      def search_levers
        inputs = @studio.inputs(stored)
        wish = workshop.session.wish / 100.0
        seat = supplies.seat&.price&.minor.to_i
        job = @kept.jobs.start('What would help') { |running| LeverWork.new(inputs, wish, seat).call { |share| running.reached(share) } }
        @kept.searches.put(forecast_key, job)
      end

      # @return [ClassTeaching]
      def teaching
        @teaching ||= ClassTeaching.new(@studio, plan, unit, supplies.supply&.short.to_i)
      end

      # @return [Core::Money]
      def money(minor)
        supplies.market.money(minor.round)
      end

      def workshop
        stored.state.workshop
      end

      def people
        plan.people
      end

      def verdicts
        @verdicts ||= plan.verdicts(supplies.supply, forecast.found)
      end

      # @return [Core::Verdict, nil] the first thing in the way
      def next_thing
        verdicts.find(&:in_the_way?) || verdicts.find { |verdict| verdict.status == :tight }
      end

      # @return [Core::PersonPlan, nil] whose place is chosen; the first when none or an unknown one is asked for
      def chosen
        plan.person(@asked_seat) || people.first
      end

      def seat
        chosen&.attendee&.key
      end

      def seat_rows
        people.each_slice([(people.size / 2.0).ceil, 1].max).to_a
      end

      def drawing_of(person, **options)
        Formats::PieceSvg.new(person.piece.layout, title: drawing_title(person), span_mm: span, unit: unit, **options).to_s
      end

      # @return [Float] a ruler in whole 20 mm with room for the words beside its last mark
      def self.ruler(longest)
        scale = [longest / Formats::PieceSvg::USUAL_SPAN, 1.0].max
        ((longest + (LABEL_MM * scale)) / 20).ceil * 20.0
      end

      # @return [Float] the ruler that every drawing on the page shares, in millimetres
      def span
        @span ||= begin
          longest = [plan.sample, *people].select(&:fitted?).flat_map { |p| [p.piece.on_line.to_mm, p.piece.target.to_mm] }.max || 180.0
          ClassPage.ruler(longest)
        end
      end

      def marks_of(person)
        Landing.marks(person.piece, unit)
      end

      # One finding of the class. number: as pinned on the drawings · names: whom it concerns · finding: the first of its kind
      Fit = Core::Value.define(:number, :finding, :names, :person)

      # @return [Array<Fit>] what is worth a look, worst first, each kind once
      def fits
        @fits ||= begin
          all = people.flat_map { |person| person.findings.select(&:worth_a_look?).map { |finding| [finding, person] } }
          grouped = all.group_by { |finding, person| [finding.key, (person.attendee.key if finding.join.nil?)] }.values
          grouped.sort_by { |same| Core::Fit::Check::ORDER.index(same.first.first.status) }.each_with_index.map do |same, index|
            person = (same.map(&:last) & [chosen]).first || same.first.last
            Fit.new(number: index + 1, finding: same.first.first, names: same.map { |_, p| p.attendee.name }, person: person)
          end
        end
      end

      # @return [Array<(Core::Fit::Cure, Integer, Core::Fit::Effect)>] those that can be made, with their place in the finding's list
      def cures(fit)
        fit.finding.cures.each_with_index.filter_map do |cure, index|
          effect = Core::Fit::Effect.of(cure, plan.design, fit.person, @studio.catalogue.table, open_rings: @studio.open_rings)
          [cure, index, effect] if effect && effect.wrong_after <= effect.wrong_before
        end
      end

      # @return [Array<Core::Fit::Finding>] all that was judged for the chosen person
      def judged
        chosen&.fitted? ? chosen.findings : []
      end

      def open_rings
        @studio.open_rings
      end

      def pins_of(person)
        numbers = fits.to_h { |fit| [fit.finding.key, fit.number] }
        person.findings.select { |f| f.worth_a_look? && f.join }.map { |f| Formats::PieceSvg::Pin.new(at: f.at, status: f.status, text: numbers[f.key].to_s) }
      end

      def landing_text(person)
        Landing.text(person.piece, unit)
      end

      def offers(person)
        Core::Sizing::Offers.for(person.piece, @studio.catalogue.table)
      end

      def repeats(person)
        person.piece.repeats
      end

      # @return [Symbol] how one person's piece stands
      def status_of(person)
        return person.piece.is_a?(Core::Sizing::OutOfReach) ? :will_not : :unknown unless person.fitted?

        person.piece.status
      end

      def count_of(person, part)
        person.needs.find { |need| need.part == part }&.count
      end

      # Parts beyond the class's own, in a colourway, are told by their count per person.
      def colourways
        plan.design.colourways.keys
      end

      # @return [Array<(Core::PersonPlan, Core::Cutting::CutNeed)>] longest first
      def cuts_of(line)
        plan.kits.flat_map { |person| person.cuts.select { |cut| cut.line == line }.map { |cut| [person, cut] } }.sort_by { |_, cut| -cut.length }
      end

      def cut_bar(cut)
        longest = plan.kits.flat_map(&:cuts).map(&:length).max
        share = ->(part) { (part / longest * 100).to_f.round(2) }
        tail = share.(cut.length - cut.body) / 2
        %(<svg class="cut-bar" viewBox="0 0 100 6" preserveAspectRatio="none" aria-hidden="true"><rect class="tail" width="#{share.(cut.length)}" height="6"/><rect class="body" x="#{tail}" width="#{share.(cut.body)}" height="6"/></svg>)
      end

      def tool_names(person)
        person.tools.map { |key, count| "#{"#{count} " if count > 1}#{@studio.catalogue.table.tool(key).name.downcase}" }.join(', ')
      end

      def levels
        @levels ||= people.map { |p| p.attendee.level }.uniq.sort
      end

      # Whose numbers the steps are told with.
      def told_of
        people.find(&:fitted?)&.attendee&.name || 'a usual size'
      end

      # @return [String] a person's working on one line
      def working_line(person)
        person.working.map do |term|
          [Helpers::SIGNS.fetch(term.operation), term.length && Formats::LengthPrint.call(term.length, unit), Formats::Wording.term(term, unit: unit)].compact.join(' ').strip
        end.join(' ')
      end

      def projects
        @studio.projects.newest
      end

      # @return [Core::Project::Component, nil] the first whose construction has a centre
      def centred
        plan.design.components.find { |c| Core::Construction::Registry.fetch(c.construction).parameters.key?(:centre) }
      end

      def centre_key
        centred&.parameters&.dig('centre', 0, 'part')
      end

      def beads
        @studio.catalogue.table.parts.values.select(&:bead?)
      end

      def reversible
        @reversible ||= @studio.classes.reversible(id)
      end

      def draft(form)
        drafts[form]
      end

      private

      def cache_key(name)
        return if drafts.any? || name == 'notice'

        @shown ||= [id, revision, unit, *@studio.stamp]
        [*@shown, (@asked_seat if SEATED.include?(name)), (supply_stamp if SUPPLIED.include?(name)), (forecast_stamp if FORECAST.include?(name))]
      end

      # How far the forecast and the search have come.
      def forecast_stamp
        [Forecasting.percent(forecast.found), forecast.running?, search&.id, search&.percent, search&.running?]
      end

      def forecast_key
        @forecast_key ||= [id, revision, *@studio.stamp]
      end

      def supply_stamp
        @supply_stamp ||= @studio.supply_stamp
      end

      def drawing_title(person)
        "#{person.attendee.name.empty? ? plan.design.name : person.attendee.name}: #{Formats::LengthPrint.call(person.piece.on_line, unit)} laid flat, " \
          "#{person.bead_count} beads"
      end
    end
  end
end
