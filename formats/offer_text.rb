# frozen_string_literal: true

module Formats
  # What is in a pack, in words.
  module OfferText
    module_function

    # @param offer [Core::Supply::Offer] @param unit [Symbol] for lengths
    # @return [String] such as "25 pieces", "10 g", "a strand of 400 mm", "a reel of 10 m", "25 pieces, 60 with others"
    def content(offer, unit)
      own = alone(offer, unit)
      offer.also.empty? ? own : "#{own}, #{offer.pieces} with others"
    end

    # @param also [Hash{String=>Integer}] pieces by part @param table [Core::Catalogue::Table, nil]
    # @return [String] what else comes in them, such as "with 20 × 6 mm round, frosted clear glass"; empty where nothing does
    def others(also, table)
      also.empty? ? '' : "with #{also.map { |key, pieces| "#{pieces} × #{table&.parts&.dig(key)&.name || key}" }.join(', ')}"
    end

    def alone(offer, unit)
      case offer.unit
      when :piece then offer.amount == 1 ? '1 piece' : "#{offer.amount} pieces"
      when :gram then "#{plain(Rational(offer.amount, 1000))} g"
      when :strand then "a strand of #{LengthPrint.call(offer.length, unit)}"
      else "a reel of #{reel(offer.length)}"
      end
    end

    # @param length [Core::Measure::Length] @return [String] in metres, as reels are sold
    def reel(length)
      "#{plain(Rational(length.nm, 1_000_000_000))} m"
    end

    # Small beads are handed out by weight.
    # @return [String] grams, '' for what is counted or whose weight is not known
    def handed_out(part, count)
      part.bead? && part.outer < Core::Construction::Kinds::Strung::SMALL_BELOW ? weight(part, count) : ''
    end

    # @return [String] grams for so many, '' when the weight of one is not known
    def weight(part, count)
      mass = Core::Catalogue::Mass.milligrams(part) or return ''

      "#{format('%.1f', mass * count / 1000.0)} g"
    end

    def plain(number)
      number.denominator == 1 ? number.to_i.to_s : format('%.3f', number).sub(/0+\z/, '')
    end
    private_class_method :plain, :alone
  end
end
