# frozen_string_literal: true

module Application
  # A seat's costs as plain data, kept when the kits of a class leave the stock: later prices do not change them.
  # Every field of {Core::Price::Seat} is kept but the list of what has no price.
  module SeatRecord
    LEFT_OUT = %i[unpriced].freeze
    # Amounts that older records hold as bare numbers of minor units.
    BARE_AMOUNTS = %w[materials wastage time venue tools].freeze

    module_function

    # @param seat [Core::Price::Seat]
    # @return [Hash]
    def write(seat)
      fields = seat.to_h.except(*LEFT_OUT).to_h { |name, value| [name.to_s, value.is_a?(Core::Money) ? { 'minor' => value.minor } : value] }
      { 'currency' => seat.materials.currency, **fields }
    end

    # @param data [Hash, nil]
    # @return [Core::Price::Seat, nil]
    def read(data)
      return if data.nil?

      fields = data.except('currency').to_h { |name, value| [name.to_sym, field(name, value, data['currency'])] }
      Core::Price::Seat.new(**fields, unpriced: [])
    end

    def field(name, value, currency)
      minor = value.is_a?(Hash) ? value['minor'] : (value if BARE_AMOUNTS.include?(name))
      minor ? Core::Money.new(minor: minor, currency: currency) : value
    end
    private_class_method :field
  end
end
