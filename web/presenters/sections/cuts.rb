# frozen_string_literal: true

module Web
  module Presenters
    module Sections
      # Which lengths are cut from what.
      class Cuts < Section
        include Supplied

        def tails
          Core::Ends::Tails::POLICIES
        end

        # @return [Array<(Core::Planning::PersonPlan, Core::Cutting::CutNeed)>] longest first
        def cuts_of(line)
          plan.kits.flat_map { |person|
            person.cuts.select { |cut|
              cut.line == line
            }.map { |cut| [person, cut] }
          }.sort_by { |_, cut| -cut.length }
        end

        # @return [Array<Core::Measure::Length>] as shown: in the piece, movement, knots and loops, tails, rounding; they add up to the cut
        def parts_of(cut)
          Formats::LengthSum.shown([cut.body, cut.slack, cut.consumption, cut.tails, cut.rounding], cut.length, unit)
        end

        # @return [String] SVG: what is in the piece within what is cut
        def bar(cut)
          longest = plan.kits.flat_map(&:cuts).map(&:length).max
          share = ->(part) { (part / longest * 100).to_f.round(2) }
          tail = share.(cut.tails) / 2
          %(<svg class="cut-bar" viewBox="0 0 100 6" preserveAspectRatio="none" aria-hidden="true"><rect class="tail" ) +
            %(width="#{share.(cut.length)}" height="6"/>) +
            %(<rect class="body" x="#{tail}" width="#{share.(cut.body + cut.slack + cut.consumption)}" height="6"/></svg>)
        end

        def bar_drawing(bar)
          Formats::ReelSvg.new(bar.pieces, bar.length, unit: unit,
            title: "#{count_of(bar.pieces.size, 'piece')} from #{reel(bar.length)}").to_s
        end

        # @return [Hash{Symbol=>String}]
        # @return [Array<(Symbol, String)>] of each line
        def ways_of_cutting
          Core::Setup::SupplySettings.field(:cut_by_line).each.of.map { |way| [way, say("cutting.#{way}")] }
        end

        def offcut_shares
          { 0 => 'nothing', 25 => 'a quarter of its price', 50 => 'half of its price', 75 => 'three quarters of its price' }
        end

        # @return [Boolean] whether any line is used up little by little, so that it can be asked whether it reaches
        def worked?
          plan.people.select(&:fitted?).any? { |one| one.piece.work_ups.each_value.any? { |made| made.cuts.any?(&:worked) } }
        end

        # @return [String] how sure it is that fewer reels will not do
        def proof(cuts)
          return 'No reel length is known. Enter it in the stockroom; then the reels are counted.' if cuts.unplaced.any?
          return 'Nothing to buy.' if cuts.new_reels.empty?
          return 'Fewer new reels will not do.' if cuts.proven?
          return 'Fewer new reels would cost more, or leave more over.' if plan.workshop.supply.reels != :fewest

          "Not proven: #{count_of(cuts.gap, 'reel')} may be more than needed."
        end

        # @return [String] what is too short to keep, with its worth
        def scrap(line)
          scrap = line.cuts.scrap
          cost = market.unit_cost(line.line)
          brings = line.scrap_brings.positive? ? "; it brings #{money(line.scrap_brings)} by weight" : ''
          "#{length(scrap)}#{", worth #{money(scrap.nm * cost)}" if cost}#{brings}"
        end
      end
    end
  end
end
