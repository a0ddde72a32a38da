# frozen_string_literal: true

module Core
  module Construction
    # Parameters to begin a new component with: declared defaults, and fitting things from the catalogue for the rest.
    module Starter
      module_function

      # @param construction [Class] @param table [Catalogue::Table]
      # @return [Hash{String=>Object}] data that builds, where the catalogue holds what it needs
      def parameters(construction, table)
        data = construction.parameters.each_value.select(&:required).select { |p|
          p.default.nil?
        }.to_h { |p| [p.name.to_s, first(p, table, 0)] }.compact
        3.times { data = mended(construction, data, table) }
        data
      end

      # Tries the next candidates for parameters that do not go together.
      def mended(construction, data, table)
        construction.build(data, table)
        data
      rescue Making::InvalidParameters => e
        e.problems.reduce(data) { |fixed, problem| mend(construction, fixed, problem.at.first, table) }
      end

      def mend(construction, data, name, table)
        parameter = construction.parameters[name.to_sym] or return data
        candidates(parameter, table).map { |candidate|
          data.merge(name => candidate)
        }.find { |tried| clean?(construction, tried, name, table) } || data
      end

      def clean?(construction, data, name, table)
        construction.build(data, table)
      rescue Making::InvalidParameters => e
        e.problems.none? { |problem| problem.at.first == name }
      end

      def first(parameter, table, index)
        candidates(parameter, table)[index]
      end

      def candidates(parameter, table)
        case parameter.type
        when :line then table.lines.values.select { |line| parameter.allows?(line) }.map(&:key)
        when :part then table.parts.values.select { |part| parameter.allows?(part) }.map(&:key)
        when :pattern then patterns(parameter, table)
        else []
        end
      end

      def patterns(parameter, table)
        bead = table.parts.values.find(&:bead?)
        ring = table.parts.values.find { |part| part.kind == :ring }
        item = { 'part' => (%i[parts unit].include?(parameter.name) ? ring : bead)&.key }
        [[{ 'repeat' => [item], 'fill' => true }], [item]].then { |both| parameter.name == :pattern ? both : both.reverse }
      end
      private_class_method :mended, :mend, :clean?, :first, :candidates, :patterns
    end
  end
end
