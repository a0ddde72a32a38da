# frozen_string_literal: true

module Web
  module Presenters
    # What the studio's materials contain, as far as people are allergic to it.
    class MetalsForm
      Alloys = Core::Catalogue::Alloys
      # What a field may say, with its words.
      CHOICES = { '' => 'no', Alloys::MAY_CONTAIN => 'may contain', Alloys::CONTAINS => 'contains' }.freeze
      Row = Core::Value.define(:material, :fields)

      # @param table [Core::Catalogue::Table] @param params [Hash] contents[material][metal]: a key of CHOICES
      def initialize(table, params)
        @table = table
        @given = params['contents'].is_a?(Hash) ? params['contents'] : {}
      end

      # @return [MetalsForm] as the studio keeps it
      def self.show(table)
        new(table, { 'contents' => table.alloys.contents })
      end

      # @return [Core::Catalogue::Alloys] a field of any other value says no
      def alloys
        Alloys.new(contents: materials.to_h { |material| [material, chosen(material)] }.reject { |_, metals| metals.empty? })
      end

      # @return [Array<Row>] by material; fields: {metal => key of CHOICES}
      def rows
        materials.map { |material| Row.new(material: material, fields: metals.to_h { |metal| [metal, chosen(material).fetch(metal, '')] }) }
      end

      def choices
        CHOICES
      end

      def metals
        Alloys::METALS.map(&:to_s)
      end

      private

      # Metals alone: what the usual table or the studio names, and what its lines and parts are made of.
      def materials
        @materials ||= (Alloys.new.contents.keys + @table.alloys.contents.keys + owned).uniq.sort
      end

      def owned
        [@table.parts, @table.lines].flat_map { |table| table.values.filter_map(&:material) } - Core::Catalogue::Part::NO_METAL -
          Core::Catalogue::Line::NO_METAL
      end

      def chosen(material)
        given = @given[material]
        given.is_a?(Hash) ? given.slice(*metals).select { |_, says| says.is_a?(String) && !says.empty? && CHOICES.key?(says) } : {}
      end
    end
  end
end
