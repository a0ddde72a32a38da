# frozen_string_literal: true

module Web
  module Presenters
    # What holds for a whole design: name, what it is sized by, ease, wraps, how many alike, tails.
    class DesignForm < Form
      FIELDS = %i[name body ease wraps made tails note].freeze

      def initialize(params)
        super(typed(params, FIELDS), Contracts::DesignContract.new)
      end

      # @return [Core::Project::Design]
      def apply(design)
        untouched = Formats::LengthPrint.printed?(value(:ease), design.ease)
        design.with(name: value(:name), body: value(:body).to_sym,
          ease: untouched ? design.ease : Core::Measure::Length.parse(value(:ease), default_unit: :mm),
          wraps: value(:wraps).to_i, made: value(:made).to_i, tails: value(:tails).to_sym, note: value(:note))
      end
    end
  end
end
