# frozen_string_literal: true

module Core
  module Data
    # Three-way merge of plain data: two states that came from one base. The unit is a leaf; a branch two keys deep
    # (one attendee) that one side took out and the other changed is a conflict as a whole.
    module Merge
      BRANCH = 2

      # One place that both changed, differently.
      #
      # @param path keys from the top
      # @param mine values, nil when taken out
      # @param theirs see mine
      Conflict = Value.define(:path, :base, :mine, :theirs)
      # @param merged theirs with my changes
      # @param conflicts where both changed, theirs stands in merged
      # @param theirs_changed [path] what the other side changed since base
      Result = Value.define(:merged, :conflicts, :theirs_changed)

      module_function

      # @param base [Hash] @param mine [Hash] @param theirs [Hash] hashes of hashes down to leaves
      # @param mine_wins [Boolean] whether my side stands where both changed; then nothing is left in conflict
      # @return [Result]
      def three_way(base, mine, theirs, mine_wins: false)
        flat = [base, mine, theirs].map { |data| leaves(data) }
        my_changes, their_changes = flat.drop(1).map { |side| difference(flat.first, side) }
        torn = torn_branches(my_changes, their_changes, mine, theirs)
        conflicts = torn.map { |path| conflict(path, *[base, mine, theirs].map { |data| data.dig(*path) }) } +
                    (my_changes & their_changes).reject { |path| torn.include?(path.first(BRANCH)) || flat[1][path] == flat[2][path] }
                      .map { |path| conflict(path, *flat.map { |side| side[path] }) }
        held_back = mine_wins ? [] : conflicts.map(&:path)
        merged = apply(theirs, flat[1], my_changes.reject { |path| held_back.include?(path) || torn.include?(path.first(BRANCH)) })
        merged = torn.reduce(merged) { |data, path| put(data, path, mine.dig(*path)) } if mine_wins
        Result.new(merged: merged, conflicts: mine_wins ? [] : conflicts, theirs_changed: their_changes)
      end

      # @return [Hash{Array<String>=>Object}] every leaf by its path
      def leaves(data, path = [])
        return { path => data } unless data.is_a?(Hash)

        data.reduce({}) { |all, (key, value)| all.merge!(leaves(value, [*path, key])) }
      end

      def difference(base, side)
        (base.keys | side.keys).reject { |path| base[path] == side[path] }
      end

      # Branches that one side no longer has while the other changed something in them.
      def torn_branches(my_changes, their_changes, mine, theirs)
        branches = [my_changes, their_changes].map { |paths|
          paths.select { |path|
            path.size > BRANCH
          }.map { |path| path.first(BRANCH) }.uniq
        }
        (branches.first & branches.last).select { |path| mine.dig(*path).nil? ^ theirs.dig(*path).nil? }
      end

      def conflict(path, base, mine, theirs)
        Conflict.new(path: path, base: base, mine: mine, theirs: theirs)
      end

      def apply(data, values, paths)
        paths.reduce(data) { |all, path| put(all, path, values[path]) }
      end

      # Sets a leaf or, with nil, takes it out, and with it a person or measures left empty; the top keys stay.
      def put(data, path, value, top: true)
        key, *rest = path
        return value.nil? ? data.except(key) : data.merge(key => value) if rest.empty?

        inner = put(data.fetch(key, {}), rest, value, top: false)
        inner.empty? && value.nil? && !top ? data.except(key) : data.merge(key => inner)
      end
      private_class_method :leaves, :difference, :torn_branches, :conflict, :apply, :put
    end
  end
end
