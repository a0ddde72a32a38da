# frozen_string_literal: true

module Web
  module Presenters
    # One missing measure of a part or line.
    class MeasureForm < Form
      # @return [Core::Catalogue::Part, Core::Catalogue::Line, nil]
      attr_reader :item

      def initialize(studio, params)
        @studio = studio
        values = typed(params, %w[item measure value])
        table = studio.catalogue.table
        @item = table.parts[values['item']] || table.lines[values['item']]
        super(values, Contracts::MeasureContract.new(item: @item))
      end

      # @return [String, nil]
      def problem
        "“#{value(:value)}” was not entered. #{error(:value)}" unless valid?
      end

      def save
        found = Contracts::MeasureContract::READERS.fetch(value(:measure)).call(value(:value))
        @studio.catalogue.save(item.is_a?(Core::Catalogue::Part) ? :parts : :lines, [item.with(value(:measure).to_sym => found)])
      end
    end
  end
end
