# frozen_string_literal: true

module Formats
  # What a step was planned to take, with what it took inside it. Shaded: where 8 of 10 planned times lie; a thin line: from the quickest
  # to the slowest.
  class TakenBarSvg
    # @param row [Core::Live::Record::Row] @param longest [Float] minutes that fill the width
    def initialize(row, longest)
      @row = row
      @longest = longest
    end

    # @return [String]
    def to_s
      least, most = @row.spread
      %(<svg class="cut-bar" viewBox="0 0 100 8" preserveAspectRatio="none" aria-hidden="true">#{range}) +
        %(<rect class="tail" width="#{at(@row.planned)}" height="8"/><rect class="body" y="2" width="#{at(@row.taken)}" height="4"/>) +
        %(<path class="spread" d="M#{at(least)} 4H#{at(most)}"/></svg>)
    end

    private

    # A forecast that is not there yet shades nothing.
    def range
      return '' if @row.range.nil?

      from, to = @row.range
      %(<rect class="range" x="#{at(from)}" width="#{at(to - from)}" height="8"/>)
    end

    def at(minutes)
      (minutes / @longest * 100).round(1)
    end
  end
end
