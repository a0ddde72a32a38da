# frozen_string_literal: true

# Cutting 300 pieces of 8 lengths: ours (proven), plain first fit decreasing, and HiGHS alone on one variable for each pattern.
# Aim: proven in under 2 s. Run: bundle exec ruby --yjit -I. bench/cut.rb
require_relative 'support'
require 'highs'

def fillings(lengths, reel)
  return [[]] if lengths.empty?

  (0..(reel / lengths.first)).flat_map { |count| fillings(lengths.drop(1), reel - (count * lengths.first)).map { |rest| [count, *rest] } }
end

def first_fit(pieces, reel)
  pieces.sort_by { |piece| -piece.length }.each_with_object([]) { |piece, room|
    (at = room.index { |left|
      left >= piece.length
    }) ? room[at] -= piece.length : room << (reel - piece.length)
  }.size
end

# @return [Integer, nil] nil when there are more patterns than it is given
def by_highs(demands, reel)
  patterns = fillings(demands.keys, reel).reject { |pattern| pattern.all?(&:zero?) }
  return if patterns.size > 20_000

  starts = patterns.reduce([0]) { |all, pattern| all << (all.last + pattern.count(&:positive?)) }
  Highs.mip(sense: :minimize, col_cost: [1.0] * patterns.size, col_lower: [0.0] * patterns.size, col_upper: [1e4] * patterns.size,
    row_lower: demands.values.map(&:to_f), row_upper: [1e30] * demands.size, a_format: :colwise, a_start: starts[0...-1],
    a_index: patterns.flat_map { |pattern| pattern.each_index.reject { |i| pattern[i].zero? } },
    a_value: patterns.flat_map { |pattern|
      pattern.select(&:positive?).map(&:to_f)
    }, integrality: [1] * patterns.size).solve[:obj_value].round
end

rng = Random.new(7)
rows = Array.new(20) do
  reel = 2000
  lengths = Array.new(8) { rng.rand(60..190) * 5 }.uniq
  ordered = Array.new(300) { lengths.sample(random: rng) }
  pieces = ordered.map { |length| Core::Cutting::WantedCut.new(owner: 'x', length: Bench.mm(length)) }
  plan = nil
  first = nil
  ours = Bench.milliseconds(1) { plan = Core::Cutting::Reels.plan(pieces, [Bench.mm(reel)]) }.first
  fit = Bench.milliseconds(1) { first = first_fit(pieces, Bench.mm(reel)) }.first
  oracle = nil
  highs = Bench.milliseconds(1) { oracle = by_highs(ordered.tally, reel) }.first
  { ours: ours, fit: fit, highs: highs, proven: plan.proven?, reels: plan.new_reels.size, first: first, oracle: oracle }
end
known = rows.select { |row| row[:oracle] }
puts format('ours:                 %d of 20 proven, median %.0f ms, longest %.0f ms', rows.count { |r| r[:proven] }, rows.map { |r|
  r[:ours]
}.sort[10], rows.map { |r|
              r[:ours]
            }.max)
puts format('first fit decreasing: fewest on %d of 20, median %.1f ms', rows.count { |r| r[:first] == r[:reels] }, rows.map { |r|
  r[:fit]
}.sort[10])
puts format('HiGHS alone:          answered %d of 20, median %.0f ms, agrees with ours on %d', known.size, rows.map { |r|
  r[:highs]
}.sort[10], known.count { |r|
              r[:oracle] == r[:reels]
            })
