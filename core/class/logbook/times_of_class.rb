# frozen_string_literal: true

module Core
  module Logbook
    # What one class says of the time of each technique, where some taps came late or were forgotten. A step was either tapped in time: then
    # its minutes are the planned ones times the technique's factor, with the plan's own scatter (lognormal). Or its taps are off: then they
    # lie some minutes away from that (normal). How many are off, and by how much, is estimated together with the factors: a mixture of two
    # by the EM algorithm (Dempster, Laird and Rubin, 1977; Gelman et al., Bayesian Data Analysis, chapter 22).
    class TimesOfClass
      ROUNDS = 50
      # Rounds end when no factor moves more than this.
      SETTLED = 1e-3
      # Before any tap, as if so many steps had shown this share to be off by so many minutes (from memory).
      BEFORE = 20.0
      OFF = 0.05
      OFF_BY = 2.0
      # Where more than this share is off, steps whose beginning is known only from other people's taps are not used: one late tap
      # shifts all of them.
      IRREGULAR = 0.1
      # A class that seems to take less than this of its planned time has wrong taps.
      LEAST = 0.1
      # What a class tells at least of a technique that was done in it: as good as nothing.
      LEAST_TOLD = 1.0

      # @param tries [Array<TimeObservation>] of one class @param between [Float] how much people of one level differ, as a variance
      def initialize(tries, between)
        @between = between
        find(tries)
        seen = @off
        find(tries.reject(&:by_others)) if seen > IRREGULAR
        @off = seen
      end

      # @return [Float] share of the steps whose taps were off
      attr_reader :off

      # @return [Array<TimeSaid>] one of each technique
      def said
        @tries.map { |technique, tries| of(technique, tries) }
      end

      private

      def find(tries)
        @tries = tries.group_by(&:technique)
        @logs = @tries.transform_values { |same| Math.log([Session::Quantile.of(same.map(&:ratio).sort, 0.5), LEAST].max) }
        @off = OFF
        # Begins with the furthest: with less, a normal value far away is so unlikely that it would count as sound.
        apart = @tries.flat_map { |technique, same| same.map { |try| try.minutes - expected(try, @logs.fetch(technique)) } }
        @off_by = [OFF_BY, *apart.map(&:abs)].max**2
        ROUNDS.times { break if improve < SETTLED }
      end

      def of(technique, tries)
        log = @logs.fetch(technique)
        told = tries.map { |try| information(try, log) }
        own = tries.zip(tries.map { |try| weights(try, log, sound(try, log), spread(try)).sum }).group_by { |try, _| try.person }
          .each_value.map { |same| same.sum(&:last) }
        TimeSaid.new(technique: technique, session: tries.first.session, tries: tries.size, factor: log,
          variance: 1 / [told.sum, LEAST_TOLD].max, people: (own.sum**2) / own.sum { |weight| weight**2 })
      end

      # What a try tells of the logarithm: what it would if one knew whether it is sound, less what not knowing takes away (Louis, 1982).
      def information(try, log)
        sound = sound(try, log)
        near, far = weights(try, log, 1.0, spread(try)).first, weights(try, log, 0.0, spread(try)).last
        scores = near * (try.minutes.positive? ? Math.log(try.ratio) - log + (spread(try) / 2) : 0.0),
                 far * ((try.minutes / expected(try, log)) - 1)
        (sound * near) + ((1 - sound) * far) - (sound * (1 - sound) * ((scores.first - scores.last)**2))
      end

      # @return [Float] how far the factor that moved most did
      def improve
        found = @tries.flat_map { |technique, tries| tries.map { |try| [try, @logs.fetch(technique), sound(try, @logs.fetch(technique))] } }
        before = @logs
        @logs = @tries.to_h { |technique, tries| [technique, middle(tries, before.fetch(technique))] }
        wrong = found.sum { |_, _, sound| 1 - sound }
        more = found.sum { |try, log, sound| (1 - sound) * [((try.minutes - expected(try, log))**2) - by_chance(try, log), 0.0].max }
        @off_by = ((BEFORE * OFF * (OFF_BY**2)) + more) / ((BEFORE * OFF) + wrong)
        @off = ((BEFORE * OFF) + wrong) / (BEFORE + found.size)
        @logs.map { |technique, log| (log - before.fetch(technique)).abs }.max || 0.0
      end

      # Each try points to a value of the logarithm: a sound one by its own logarithm, one that is off along a straight line.
      def middle(tries, log)
        weighed = tries.map do |try|
          w = sound(try, log)
          near, far = weights(try, log, w, spread(try) + @between)
          own = near.zero? ? 0.0 : near * (Math.log(try.ratio) + (spread(try) / 2))
          [own + (far * (log + ((try.minutes / expected(try, log)) - 1).clamp(-1, 1))), near + far]
        end
        [weighed.sum(&:first) / weighed.sum(&:last), Math.log(LEAST)].max
      end

      # @return [(Float, Float)] how much a try counts as a sound one, and as one that is off
      def weights(try, log, sound, spread)
        [sound / spread, (1 - sound) * (expected(try, log)**2) / (by_chance(try, log) + @off_by)]
      end

      # @return [Float] how likely the taps of this try are sound
      def sound(try, log)
        return 0.0 unless try.minutes.positive?

        spread = spread(try) + @between
        z = Math.log(try.ratio) - log + (spread(try) / 2)
        near = (1 - @off) * Math.exp(-z * z / (2 * spread)) / (try.minutes * Math.sqrt(spread))
        variance = by_chance(try, log) + @off_by
        far = @off * Math.exp(-((try.minutes - expected(try, log))**2) / (2 * variance)) / Math.sqrt(variance)
        near / (near + far)
      end

      def expected(try, log)
        try.planned * Math.exp(log)
      end

      # @return [Float] variance of the logarithm of the minutes of one person
      def spread(try)
        Math.log(1 + try.spread)
      end

      def by_chance(try, log)
        (expected(try, log)**2) * (try.spread + @between)
      end
    end
  end
end
