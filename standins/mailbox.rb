# frozen_string_literal: true

module Standins
  # Outgoing mail that is not sent: each letter becomes a file (RFC 5322), which any mail program opens.
  class Mailbox
    MOST = 50
    FROM = 'studio@example.org'

    # @param folder [#put] where the letters go
    def initialize(folder)
      @folder = folder
    end

    # @return [String] the file written
    def deliver(to:, subject:, text:, now: Time.now)
      # Loaded when the first letter is written: it takes long, and few studios write any.
      require 'mail'
      letter = Mail.new(from: FROM, to: to, subject: subject, body: text, date: now, charset: 'UTF-8')
      @folder.put("#{now.strftime('%Y%m%d-%H%M%S-%6N')}.eml", letter.to_s)
    end
  end
end
