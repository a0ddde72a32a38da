# frozen_string_literal: true

module Application
  # What one section of a page reads: parts of a class's result, and how the page is looked at. It notes what was read, so that
  # what was made from it can be kept until one of those changes.
  class TrackedResult
    # unit: lengths are shown in it · seat: key of the person who is chosen
    VIEW = %i[unit seat].freeze

    # Digests by what was read.
    attr_reader :notes

    # @param result [ClassResult] @param view [Hash{Symbol=>Object}]
    def initialize(result, view)
      @result = result
      @view = view
      @notes = {}
    end

    ClassResult::PARTS.each do |name|
      define_method(name) do
        @notes[name] ||= @result.digest(name)
        @result.public_send(name)
      end
    end

    VIEW.each do |name|
      define_method(name) do
        @notes[name] = @view.fetch(name)
        @view.fetch(name)
      end
    end

    # The class's own number never changes; its revision counts with every other part that was read.
    def id
      @result.id
    end

    def revision
      @result.revision
    end

    # @return [Core::Setup::Calibration]
    def calibration
      plan && @result.library.calibration
    end

    # @return [Core::Money, nil] of a seat
    def seat_price
      seat_costs&.price
    end

    # @return [Core::Session::Forecast, nil] so far
    def forecast
      forecasting && @result.forecast
    end

    # @return [Date, nil] nil where there is no studio
    def today
      @notes[:today] = @result.library.today
    end

    # @param notes [Hash] of an earlier reading @return [Boolean] whether all of that is still as it was
    def same?(notes)
      notes.all? { |name, digest| now(name) == digest }
    end

    private

    def now(name)
      return @result.library.today if name == :today

      VIEW.include?(name) ? @view.fetch(name) : @result.digest(name)
    end
  end
end
