# frozen_string_literal: true

module Web
  # Makes every text that was sent valid and of a length that some field of ours may have, before anything else is done to it.
  module CleanParams
    # Characters of any field; lists and files that are pasted may be longer.
    LONGEST = 4_000
    LONG_FIELDS = { 'list' => 1_100_000, 'document' => 2_100_000 }.freeze

    module_function

    # @param params [Hash] changed in place; uploads are left as they are
    def clean(params)
      params.each { |name, value| params[name] = cleaned(value, LONG_FIELDS.fetch(name, LONGEST)) }
    end

    def cleaned(value, longest)
      case value
      when String then text(value, longest)
      when Hash then value.key?(:tempfile) || value.key?('tempfile') ? value : value.to_h { |key, inner|
        [text(key.to_s, LONGEST), cleaned(inner, longest)]
      }
      when Array then value.map { |inner| cleaned(inner, longest) }
      else value
      end
    end

    # Cut by bytes first, since counting the characters of what is no text takes long. The database takes no NUL.
    def text(value, longest)
      value.byteslice(0, longest * 4).force_encoding(Encoding::UTF_8).scrub("\uFFFD").delete("\u0000")[0, longest]
    end
    private_class_method :cleaned, :text
  end
end
