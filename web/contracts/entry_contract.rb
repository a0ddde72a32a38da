# frozen_string_literal: true

module Web
  module Contracts
    # One entry of the ledger: something received, counted, weighed or adjusted.
    class EntryContract < Contract
      texts :reason, :quantity, :length, :note

      # What may be done with it, whether it is sold by length, and what one weighs, nil where nobody knows.
      option :reasons
      option :long
      option :mass

      MOST = 1_000_000
      LONGEST_M = 1000
      LENGTH = "Give the length of each with its unit, up to #{LONGEST_M} m, such as 10 m or 620 mm.".freeze

      rule(:reason).validate(known: [:reasons, 'Choose what happened.'])
      rule(:quantity) do
        next unless key?

        case values[:reason]
        when 'weighed'
          if mass.nil? then key.failure('The weight of one is not known. Enter it with the part, or weigh ten and divide.')
          elsif !value.match?(DECIMAL) then key.failure('Give grams, such as 12.4.')
          end
        when 'adjusted'
          good = value.match?(/\A[-+\u2212]?\d{1,7}\z/) && value.tr("\u2212", '-').to_i.abs.between?(1, MOST)
          key.failure('Give how many more or fewer, such as -3.') unless good
        else
          least = values[:reason] == 'counted' ? 0 : 1
          key.failure('Give a whole number, such as 25.') unless value.match?(WHOLE) && value.to_i.between?(least, MOST)
        end
      end
      rule(:length) do
        next unless key? && long

        millimetres = Core::Measure::Length.parse(value, default_unit: :mm).to_mm
        key.failure(LENGTH) unless millimetres.between?(0.001, LONGEST_M * 1000)
      rescue Core::Measure::NotALength
        key.failure(LENGTH)
      end
      rule(:note).validate(at_most: 200)
      rule(:note) { key.failure('Say why, so that you know later.') if key? && values[:reason] == 'adjusted' && value.empty? }
    end
  end
end
