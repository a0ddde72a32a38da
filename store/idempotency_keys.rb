# frozen_string_literal: true

module Store
  # Where a form that adds something led, by the one-time key its page carried: sent again, it leads there again and adds nothing.
  class IdempotencyKeys
    include Transactional

    KEY = /\A[0-9a-f]{32}\z/
    DAYS_KEPT = 7
    SECONDS_A_DAY = 86_400

    # Does the block once for each key, together with remembering it.
    # @param key [String] @yieldreturn [String] the location of the answer
    # @return [String] the location, the first one's where the key was used before
    def once(key)
      write do
        before = @database[:answered].where(key: key).get(:location)
        next before if before

        location = yield
        @database[:answered].where { made_at < Time.now.utc - (DAYS_KEPT * SECONDS_A_DAY) }.delete
        @database[:answered].insert(key: key, location: location, made_at: Time.now.utc)
        location
      end
    end
  end
end
