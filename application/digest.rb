# frozen_string_literal: true

require 'digest'

module Application
  # Names data by its content: equal data has one digest, whatever it was made from.
  module Digest
    module_function

    # @param data [Object] anything Marshal can carry @return [String]
    def of(data)
      ::Digest::MD5.hexdigest(Marshal.dump(data))
    end
  end
end
