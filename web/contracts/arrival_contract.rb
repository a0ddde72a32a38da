# frozen_string_literal: true

module Web
  module Contracts
    # How much of an order has come. came: by the id of what was ordered; nothing typed means all that is due.
    class ArrivalContract < Contract
      params { required(:came).value(:hash) }

      # {id => units due}
      option :due

      rule(:came) do
        value.each do |id, text|
          next if text.empty? || (text.match?(WHOLE) && text.to_i <= due.fetch(id))

          what = "give how many came, a whole number up to the #{due.fetch(id)} that are due."
          key(:came).failure("“#{text[0, 20]}” was not entered: #{what}")
        end
      end
    end
  end
end
