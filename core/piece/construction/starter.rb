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
        }.reduce({}) { |known, p| known.merge(p.name.to_s => candidates(p, table, known).first) }.compact
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
        candidates(parameter, table, data).map { |candidate|
          data.merge(name => candidate)
        }.find { |tried| clean?(construction, tried, name, table) } || data
      end

      def clean?(construction, data, name, table)
        construction.build(data, table)
      rescue Making::InvalidParameters => e
        e.problems.none? { |problem| problem.at.first == name }
      end

      # What suits most comes first.
      # @param data [Hash{String=>Object}] what is known already, so that the rest suits it
      def candidates(parameter, table, data)
        case parameter.type
        when :line then usual_lines(table.offered(:lines), parameter.name).select { |line| parameter.allows?(line) }.map(&:key)
        when :part then parts_for(parameter, table, data).select { |part| parameter.allows?(part) }.map(&:key)
        when :pattern then patterns(parameter, table)
        else []
        end
      end

      def parts_for(parameter, table, data)
        usual_parts(table.offered(:parts), table.lines[data['line'] || data['thread']], SMALL.include?(parameter.name) ? SEED : USUAL_BEAD,
          parameter.name)
      end

      # Of the kind that is asked for by name, strong enough to be worn, and as thick as most of it.
      def usual_lines(lines, name)
        lines.sort_by do |line|
          weak = name != :thread && line.rated_load_grams && line.rated_load_grams < STRONG
          usual = name == :thread ? THREAD : USUAL_MM.fetch(line.kind, USUAL_THICKNESS)
          [line.kind == KINDS_BY_NAME[name] ? 0 : 1, weak ? 1 : 0, (line.thickness.to_mm - usual).abs]
        end
      end

      # Round beads of a usual size first; what closes over the line as small as lets it through twice.
      # @param line [Catalogue::Line, nil] that they go on @param size [Float] of a bead, in millimetres
      def usual_parts(parts, line, size = USUAL_BEAD, name = nil)
        room = line ? line.thickness.to_mm * TWICE : USUAL_HOLE
        parts.sort_by do |part|
          hole = (part.hole || part.outer).to_mm
          next [name == :holder ? 1 : 0, *bead_rank(part, size), (hole - USUAL_HOLE).abs] if part.bead?

          [part.kind == :crimp ? 0 : 1, part.opens? ? 0 : 1, hole < room ? 1 : 0, hole.to_f]
        end
      end

      def bead_rank(part, size)
        [part.form == :round || size < USUAL_BEAD ? 0 : 1, (part.outer.to_mm - size).abs]
      end

      # From memory: common beads, lines, and how much wider a crimp is than two lines in it.
      USUAL_BEAD = 8.0
      USUAL_HOLE = 1.2
      USUAL_THICKNESS = 0.8
      USUAL_MM = { cable: 0.38, thread: 0.2, elastic: 1.0, memory_wire: 0.7, wire: 0.8, cord: 1.5, rope: 5.0 }.freeze
      STRONG = 1000
      THREAD = 0.15
      # Beads of woven and wired petals are small; so are spacers.
      SEED = 2.2
      SMALL = %i[bead colours middle separator spacer].freeze
      KINDS_BY_NAME = { line: :cable, cord: :cord, rope: :rope, thread: :thread, whip: :cord, wire: :wire, binding: :wire }.freeze
      TWICE = 2.2

      def patterns(parameter, table)
        parts = usual_parts(table.offered(:parts), nil, SMALL.include?(parameter.name) ? SEED : USUAL_BEAD)
        bead = parts.find(&:bead?)
        ring = parts.find { |part| part.kind == :ring }
        item = { 'part' => (%i[parts unit].include?(parameter.name) ? ring : bead)&.key }
        [[{ 'repeat' => [item], 'fill' => true }], [item]].then { |both| parameter.name == :pattern ? both : both.reverse }
      end
      private_class_method :mended, :mend, :clean?, :candidates, :usual_lines, :usual_parts, :parts_for, :bead_rank, :patterns
    end
  end
end
