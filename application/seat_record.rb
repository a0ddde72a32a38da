# frozen_string_literal: true

module Application
  # A seat's costs as plain data, kept when the kits of a class leave the stock: later prices do not change them.
  module SeatRecord
    MONEY = %i[materials wastage time venue tools].freeze

    module_function

    # @param seat [Core::Bill::Seat] @return [Hash]
    def write(seat)
      {
        'currency' => seat.materials.currency,
        'people' => seat.people,
        'margin' => seat.margin,
        'rounding' => seat.rounding,
        **MONEY.to_h { |name|
          [name.to_s, seat.public_send(name).minor]
        }
      }
    end

    # @param data [Hash, nil] @return [Core::Bill::Seat, nil]
    def read(data)
      return if data.nil?

      Core::Bill::Seat.new(**MONEY.to_h { |name|
        [name, Core::Money.new(minor: data[name.to_s], currency: data['currency'])]
      }, people: data['people'], margin: data['margin'],
        rounding: data['rounding'], unpriced: [])
    end
  end
end
