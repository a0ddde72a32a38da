# frozen_string_literal: true

module Web
  module Presenters
    module Sections
      # Every join of the chosen person's piece, what carries it, and how it hangs: worked out when someone asks for it.
      class Checks < Fit
        include Drawn

        # @return [Integer] how many times the weight is asked of what carries it
        def tug
          Core::Fit::Load::SAFETY
        end

        # @return [String] what it weighs, and what is asked the most of
        def carrying_words
          weakest = carrying.links.first
          key = carrying.grams ? 'carrying.known' : 'carrying.unknown'
          say(key, name: chosen.attendee.name, grams: carrying.grams, weakest: weakest.name, share: hundredths(weakest.share))
        end

        # @return [Core::Fit::Carrying, nil] what the chosen person's piece weighs, and what carries it
        def carrying
          @carrying ||= Core::Fit::Carrying.new(chosen.piece, judged) if judged.any?
        end

        # @return [String] SVG of the chosen person's piece, each link numbered where it lies, the weakest first
        def carrying_drawing
          pins = carrying.links.each_with_index.filter_map { |link, i|
            Formats::PieceSvg::Pin.new(at: link.at, status: link.finding.status, text: (i + 1).to_s) if link.at
          }
          drawing_of(chosen, pins: pins, labels: false)
        end

        # @return [String] what would make a link stronger, and what that costs; empty where it holds
        def stronger(link)
          return '' unless link.finding.worth_a_look?

          effect = @reading.remedies.offered(link.finding, chosen.attendee).first
          effect ? "#{cure_words(effect)}: #{effect_words(effect, chosen)}" : say('carrying.no_cure')
        end

        # @return [Core::Sizing::Hang, Core::Sizing::WristHang, nil] how the chosen person's piece hangs; nil where it lies close, or
        #   weights are missing
        def hang
          @hang ||= Core::Sizing::Hung.on(plan.design.body, chosen.piece, chosen.measure) if chosen&.fitted?
        end

        def hang_words
          plan.design.body == :neck ? neck_words : wrist_words
        end

        # @return [String] SVG
        def hang_drawing
          svg = plan.design.body == :neck ? Formats::HangSvg : Formats::WristHangSvg
          svg.new(hang, title: hang_words).to_s
        end

        def neck_words
          aside = hang.aside.abs < ASIDE_MM || in_no_order? ? 'middle' : (hang.aside.positive? ? 'right' : 'left')
          say("hang.#{aside}", fall: length(Core::Measure::Length.mm(hang.fall.round)), pull: hang.pull.round,
            aside: length(Core::Measure::Length.mm(hang.aside.abs.round)))
        end

        def wrist_words
          air = say('hang.air', gap: length(Core::Measure::Length.mm(hang.gap.round)))
          below = in_no_order? ? nil : hang.lies_below
          "#{air} #{below ? say('hang.turns', part: below.name) : say('hang.stays')}"
        end

        # @return [Boolean] whether where each bead lies is not known before it is strung
        def in_no_order?
          plan.design.components.any? { |one| one.construction == :mixed }
        end

        # Nobody sees that it hangs less far from the middle (from memory).
        ASIDE_MM = 4
      end
    end
  end
end
