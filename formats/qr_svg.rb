# frozen_string_literal: true

require 'rqrcode_core'

module Formats
  # A code of squares that holds a text itself, to be read off with a telephone: nothing is sent anywhere.
  module QrSvg
    # More does not fit, or is hard to read off paper.
    MOST_BYTES = 800
    MARGIN = 4

    module_function

    # @param text [String] @param title [String] @return [String]
    def draw(text, title:)
      modules = RQRCodeCore::QRCode.new(shortened(text), level: :l).modules
      path = modules.each_with_index.flat_map { |row, y|
        runs(row).map { |x, width| "M#{x + MARGIN} #{y + MARGIN}h#{width}v1h-#{width}z" }
      }.join
      size = modules.size + (2 * MARGIN)
      %(<svg viewBox="0 0 #{size} #{size}" class="code" role="img" aria-label="#{CGI.escapeHTML(title)}" shape-rendering="crispEdges">) +
        %(<rect width="#{size}" height="#{size}" fill="#ffffff"/><path d="#{path}" fill="#000000"/></svg>)
    end

    def shortened(text)
      text.bytesize <= MOST_BYTES ? text : "#{text.byteslice(0, MOST_BYTES - 4).scrub('')} ..."
    end

    # @return [Array<(Integer, Integer)>] where dark stretches begin and how long they are
    def runs(row)
      row.each_with_index.select { |dark, _| dark }.map(&:last).slice_when { |a, b| b != a + 1 }.map { |run| [run.first, run.size] }
    end
    private_class_method :shortened, :runs
  end
end
