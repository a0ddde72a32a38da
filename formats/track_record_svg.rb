# frozen_string_literal: true

module Formats
  # What came true over what was told: a dot with its range for each group of chances; on the line both are the same.
  class TrackRecordSvg
    SIDE = 200
    MARGIN = 8

    # @param rows [Array<Core::Logbook::TrackRecord::Row>]
    def initialize(rows)
      @rows = rows
    end

    # @return [String]
    def to_s
      whole = SIDE + (2 * MARGIN)
      %(<svg class="track-record" viewBox="-#{MARGIN} -#{MARGIN} #{whole} #{whole}" role="img" ) +
        %(aria-label="What came true against what was told"><path class="even" d="M0 #{SIDE}L#{SIDE} 0"/>) +
        %(<path class="frame" d="M0 0V#{SIDE}H#{SIDE}"/><text x="4" y="10">came true</text>) +
        %(<text x="#{SIDE}" y="#{SIDE - 4}" text-anchor="end">told</text>#{@rows.map { |row| dot(row) }.join}</svg>)
    end

    private

    def dot(row)
      %(<path class="range" d="M#{x(row.told)} #{y(row.low)}V#{y(row.high)}"/><circle cx="#{x(row.told)}" cy="#{y(row.share)}" r="4"/>)
    end

    def x(share)
      (share * SIDE).round(1)
    end

    def y(share)
      ((1 - share) * SIDE).round(1)
    end
  end
end
