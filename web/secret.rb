# frozen_string_literal: true

require 'securerandom'

module Web
  # What signs the cookies and links of a studio: made once, beside its data.
  module Secret
    BYTES = 64

    # @param folder [String] the studio's @return [String]
    def self.of(folder)
      file = File.join(folder, 'secret')
      known = File.exist?(file) ? File.read(file) : ''
      return known if known.bytesize >= BYTES

      Store::WholeFile.write(file, SecureRandom.hex(BYTES))
      File.read(file)
    end
  end
end
