# frozen_string_literal: true

module Formats
  # Text for pages and PDFs in which <b> marks what stands out: everything else is escaped.
  module Markup
    module_function

    # @return [String]
    def safe(text)
      text.to_s.gsub('&', '&amp;').gsub('<', '&lt;').gsub('>', '&gt;')
    end
  end
end
