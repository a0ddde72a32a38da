# frozen_string_literal: true

module Web
  module Contracts
    # How much of an order has come, and what was paid. came: by the id of what was ordered; nothing typed means all that is due. paid: by
    # the same ids; nothing typed means that nobody wrote it down.
    class ArrivalContract < Contract
      params do
        required(:came).value(:hash)
        required(:paid).value(:hash)
      end

      # {id => units due}
      option :due
      option :currency

      rule(:came) do
        wrong = value.reject { |id, text| text.empty? || (text.match?(WHOLE) && text.to_i <= due.fetch(id)) }
        wrong.each_key do |id|
          key(:"came_#{id}").failure("Give how many came, a whole number up to the #{due.fetch(id)} still to come.")
        end
      end

      rule(:paid) do
        wrong = value.reject do |_, text|
          text.empty? || (0..Core::Money::MOST_MINOR).cover?(Core::Money.parse(text, currency)&.minor || -1)
        end
        wrong.each_key { |id| key(:"paid_#{id}").failure('Give what was paid, an amount such as 12.50, or leave it empty.') }
      end
    end
  end
end
