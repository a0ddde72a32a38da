# frozen_string_literal: true

module Core
  module Fit
    module Cures
      # One ring more in a row of findings: first, or between two parts that stand beside each other.
      class OneMoreRing < Cure
        code :one_more_ring

        # @param component [String] its key @param ring [Catalogue::Part] @param between [Array<Catalogue::Part>]
        def initialize(component, ring, between: [])
          @component = component
          @ring = ring
          @between = between.map(&:key)
          super(change: 1, ring: ring.name)
        end

        def apply(design)
          row = design.component(@component).parameters['parts'] or return design
          Project::Edit.new(design).set(@component, 'parts' => row.dup.insert(place(row), { 'part' => @ring.key }))
        end

        private

        # @return [Integer] behind the first of the two that stand beside each other, else at the start
        def place(row)
          row.each_cons(2).find_index { |pair| pair.map { |item| item['part'] }.sort == @between.sort }&.succ || 0
        end

        def identity
          [@component, @ring.key]
        end
      end
    end
  end
end
