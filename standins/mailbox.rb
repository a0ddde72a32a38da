# frozen_string_literal: true

require 'fileutils'

module Standins
  # Outgoing mail that is not sent: each letter becomes a file (RFC 5322) in a folder, which any mail program opens; the oldest make room.
  class Mailbox
    MOST = 50
    FROM = 'studio@example.org'

    # @param folder [String] made when missing
    def initialize(folder)
      @folder = folder
    end

    # @return [String] the file written
    def deliver(to:, subject:, text:, now: Time.now)
      # Loaded when the first letter is written: it takes long, and few studios write any.
      require 'mail'
      letter = Mail.new(from: FROM, to: to, subject: subject, body: text, date: now, charset: 'UTF-8')
      FileUtils.mkdir_p(@folder, mode: 0o700)
      path = File.join(@folder, "#{now.strftime('%Y%m%d-%H%M%S-%6N')}.eml")
      File.open(path, File::WRONLY | File::CREAT | File::TRUNC, 0o600) { |file| file.binmode.write(letter.to_s) }
      Dir[File.join(@folder, '*.eml')].reverse.drop(MOST).each { |old| File.delete(old) }
      path
    end
  end
end
