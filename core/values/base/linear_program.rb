# frozen_string_literal: true

require 'highs'

module Core
  # Linear and integer programs, solved by HiGHS (Huangfu and Hall, Mathematical Programming Computation 10, 2018). The only place that
  # names the solver.
  module LinearProgram
    # Stands for no bound.
    FREE = 1e30

    # One row. cells: {column index => value}, least and most: bounds of their sum
    Row = Value.define(:cells, least: -FREE, most: FREE)
    # @param values of the columns
    # @param value of the objective
    # @param prices of the rows
    # @param optimal whether nothing is better
    Answer = Value.define(:values, :value, :prices, :optimal)

    module_function

    # @param costs [Array<Numeric>] of each column, to be made least
    # @param rows [Array<Row>]
    # @param upper [Array<Numeric>, nil] of each column, which are never negative; nil for no bound
    # @param nodes [Integer, nil] of the search tree at most, for whole numbers; nil solves without them. Never a limit of time, which
    #   would give another answer on a busy machine.
    # @return [Answer]
    def solve(costs:, rows:, upper: nil, nodes: nil)
      data = matrix(rows).merge(sense: :minimize, col_cost: costs.map(&:to_f), col_lower: [0.0] * costs.size,
        col_upper: (upper || ([FREE] * costs.size)).map(&:to_f), a_format: :rowwise)
      model = nodes ? Highs.mip(**data, integrality: [1] * costs.size) : Highs.lp(**data)
      Highs::FFI.Highs_setIntOptionValue(model.to_ptr, +'mip_max_nodes', nodes) if nodes
      found = model.solve
      Answer.new(values: found[:col_value], value: found[:obj_value], prices: found[:row_dual], optimal: found[:status] == :optimal)
    end

    def matrix(rows)
      {
        row_lower: rows.map { |row| row.least.to_f }, row_upper: rows.map { |row| row.most.to_f },
        a_start: rows.reduce([0]) { |starts, row| starts << (starts.last + row.cells.size) }[0...-1],
        a_index: rows.flat_map { |row| row.cells.keys }, a_value: rows.flat_map { |row| row.cells.values.map(&:to_f) }
      }
    end
    private_class_method :matrix
  end
end
