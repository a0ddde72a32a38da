# frozen_string_literal: true

module Web
  module Contracts
    # What may be chosen for one class about materials and money.
    class SupplyContract < Contract
      PROVISION = Core::Setup::SupplySettings
      CHOICES = {
        spares: PROVISION::SPARES,
        extra_size: PROVISION::SIZES,
        off_reel: %i[0 1],
        fill_up: %i[0 1],
        reels: PROVISION::REELS
      }.freeze
      WHOLE_FIELDS = {
        confidence: PROVISION::CONFIDENCES,
        extra_kits: 0..PROVISION::MOST_EXTRA,
        around_minutes: 0..1440,
        margin: 0..80,
        offcuts: PROVISION::OFFCUTS
      }.freeze
      # Amounts of money, each with the least it may be in minor units.
      MONEY = { venue: 0, tools_share: 0, hour: 0, rounding: 1 }.freeze

      texts(*CHOICES.keys, *WHOLE_FIELDS.keys, *MONEY.keys)

      option :currency

      CHOICES.each { |name, known| rule(name).validate(one_of: known) }
      WHOLE_FIELDS.each { |name, range| rule(name).validate(whole: range) }
      MONEY.each do |name, least|
        rule(name).validate(amount: [least..LARGEST_AMOUNT_MINOR, 'Give an amount such as 40 or 12.50, not below zero.'])
      end
    end
  end
end
