# frozen_string_literal: true

module Core
  module Making
    # The order within a component, from what its steps need, give and shut. For each fact: the steps that give it come before those that
    # need it, and both before those that shut it. Steps do not name each other.
    #
    # A fact is a short name for something that is so while a component is made: a line is :cut, a row is :held at its far end, beads lie
    # :loose on an open line, its :length was checked, its :last_end is closed. What a step puts on the piece is a fact too, called by the
    # role of what is drawn (:bead, :crimp).
    class Facts
      # Where a step stands among the others.
      #
      # @param after keys of the steps that must be done before it
      # @param rather_after of those better done before it
      # @param keeps {tool key => key of the step that frees it}
      # @param preparable can be done before class
      Place = Value.define(:after, :rather_after, :keeps, :preparable)

      # Beads that could still run off: nothing is prepared that leaves them so.
      LOOSE = :loose

      # @param steps [Array<StepUse>] of one component
      def initialize(steps)
        @steps = steps
        @givers, @needers, @shutters = %i[gives needs shuts].map { |list| by_fact(steps, list) }
      end

      # @return [Hash{String=>Place}] by key of the step
      def places
        @places ||= @steps.to_h do |step|
          rather = step.rather.flat_map { |fact| keys(@givers, fact) } - [step.key]
          [step.key, Place.new(after: shortened(waits[step.key]), rather_after: rather,
            keeps: step.keeps.to_h { |tool, fact| [tool, keys(@shutters, fact).first] }.compact, preparable: preparable?(step))]
        end
      end

      # @return [String, nil] key of the step that gives a fact; of several the last
      def giver(fact)
        fact && keys(@givers, fact).last
      end

      # @return [Array<(String, Symbol)>] step and fact: what is needed or shut but never given. Beads need not have been loose.
      def missing
        @steps.flat_map { |step|
          (step.needs + step.shuts + step.rather - [LOOSE]).reject { |fact| @givers.key?(fact) }.map { |fact| [step.key, fact] }
        }
      end

      private

      def by_fact(steps, list)
        steps.each_with_object({}) { |step, found| step.public_send(list).each { |fact| (found[fact] ||= []) << step.key } }
      end

      def keys(table, fact)
        table.fetch(fact, [])
      end

      # @return [Hash{String=>Array<String>}] step to all that must come before it, directly
      def waits
        @waits ||= @steps.to_h do |step|
          before = (step.needs + step.shuts).flat_map { |fact| keys(@givers, fact) } + step.shuts.flat_map { |fact| keys(@needers, fact) }
          [step.key, before.uniq - [step.key]]
        end
      end

      # @return [Array<String>] without those that another of them waits for
      def shortened(before)
        before.reject { |one| before.any? { |other| other != one && earlier(other).include?(one) } }
      end

      # @return [Array<String>] all that must come before a step, also by way of others; a circle ends where it began
      def earlier(key)
        (@earlier ||= {})[key] ||= begin
          found = []
          open = waits.fetch(key, []).dup
          while (one = open.shift)
            next if found.include?(one)

            found << one
            open.concat(waits.fetch(one, []))
          end
          found
        end
      end

      # Done on its own, by someone who does not see the wearer, with nothing to keep with it, and put in a bag.
      def preparable?(step)
        done = [step.key, *earlier(step.key)]
        return false if @steps.any? { |one| done.include?(one.key) && !alone?(one) }

        !done.intersect?(keys(@givers, LOOSE)) || (@shutters.key?(LOOSE) && (keys(@shutters, LOOSE) - done).empty?)
      end

      def alone?(step)
        !(step.checkpoint || step.last || step.when_hung || step.takes_rest) && step.keeps.empty?
      end
    end
  end
end
