# frozen_string_literal: true

require 'cgi'

module Formats
  # Numbers and texts as a drawing writes them.
  module SvgText
    private

    def n(number)
      PieceSvg::N.call(number)
    end

    def h(text)
      CGI.escapeHTML(text.to_s)
    end
  end
end
