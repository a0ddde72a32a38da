# frozen_string_literal: true

module Core
  module Session
    # A session as it is simulated: people with what each of them does, tools that can run out, demonstrations, helpers.
    #
    # @param people [Person]
    # @param tools {tool key => how many there are}, only those that can be waited for
    # @param demonstrations [Demonstration]
    # @param helpers who can help at once, the instructor among them
    # @param sigmas spreads of step times, see Spread
    # @param stuck multiple of a step's mean time from which a person always calls
    # @param between spread between people
    # @param evening spread of what one evening has in common
    # @param doubt how far a technique's planned time may be from the truth, as a spread
    # @param together spread of what all the work of a run has in common, from both
    # @param help_minutes one visit, on average
    # @param check_minutes one checkpoint
    # @param minutes of the class
    # @param clearing minutes at the end
    # @param walking minutes to fetch a tool that can be waited for
    # @param neighbours share of calls that a neighbour answers who has nothing to do
    # @param fatigue how much slower people work, as a share, once they have had no rest for tires_after minutes
    # @param assistant_pace an assistant's visit against the instructor's
    # @param put_down minutes until an instructor at a piece of their own comes
    Model = Value.define(:people, :tools, :demonstrations, :helpers, :minutes, sigmas: [0.0].freeze, between: 0.0, evening: 0.0,
      doubt: 0.0, together: 0.0, help_minutes: 2.0,
      check_minutes: 0.5,
      clearing: 0.0, pauses: [].freeze, late_share: 0.0, late_minutes: 0.0, stuck: 1.9,
      walking: 0.0, neighbours: 0.0, fatigue: 0.0, tires_after: 60.0, assistant_pace: 1.0, put_down: 0.0)

    class Model
      # One attendee.
      #
      # @param tasks [Work] in order
      # @param begins minute from which they are ready to work
      Person = Value.define(:key, :tasks, begins: 0.0)
      # One thing to do.
      #
      # @param minutes on average
      # @param sigma index into the model's sigmas
      # @param tools {tool key => held} while it is done
      # @param takes {tool key => number} fetched before and put back after it; nil for all of tools
      # @param gives see takes
      # @param demonstration index or nil
      # @param help chance of one call
      # @param check whether the instructor looks at it before going on
      # @param slot names the person's random numbers that it uses
      # @param dries minutes until what needs it can be done
      # @param needs_dry labels of those it waits for
      # @param optional whether one can be done without it
      # @param label what it is, for those who watch
      Work = Value.define(:minutes, sigma: 0, tools: {}.freeze, demonstration: nil, help: 0.0, check: false, slot: 0, optional: false,
        label: nil, takes: nil, gives: nil, dries: 0.0, needs_dry: [].freeze)
      # @param minutes how long it takes
      # @param quorum how many of those who need it must be there before it begins
      # @param alone minutes for one who comes later
      Demonstration = Value.define(:minutes, :quorum, alone: 0.0, label: nil)
      # A pause of all work, from a minute on.
      Pause = Value.define(:from, :minutes)

      # @param work [Work] @return [Hash{String=>Integer}] tools that it fetches and that others may hold
      def scarce(work)
        (work.takes || work.tools).select { |tool, number| number.positive? && tools.key?(tool) }
      end

      # @param work [Work] @return [Float] chance that someone calls at it: where it is new to them, and where they are stuck
      def calls(work)
        work.help + ((1 - work.help) * Spread.share_above(sigmas[work.sigma], stuck))
      end
    end
  end
end
