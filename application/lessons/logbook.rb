# frozen_string_literal: true

module Application
  class Lessons
    # The classes that were taught, and what each of them says. That is worked out once for each, with the times and paces from before
    # anything was learnt, so that the same class always teaches the same.
    class Logbook
      # Goes up when what a class says is worked out in another way.
      WORKED_OUT = 6

      # @param studio [Store::Studio] @param library [Library] @param today [Date]
      def initialize(studio, library, today)
        @studio = studio
        @library = library
        @today = today
      end

      # @return [String] changes whenever what is learnt may
      def digest
        @digest ||= Digest.of([keys.to_a, fading])
      end

      # @return [Tasks::Learn]
      def task
        known = keys.to_h { |id, key| [id, read(@studio.result_cache[key])] }
        unknown = @studio.classes.some(known.select { |_, held| held.nil? }.keys).map { |stored|
          [stored.id, inputs(stored), @studio.live_events.of(stored.id)]
        }
        Tasks::Learn.new(known: known.compact, unknown: unknown, calibration: calibration, fading: fading)
      end

      # @param fresh [Hash{Integer=>Core::Logbook::HeldClass}] what was worked out now
      def keep(fresh)
        fresh.each { |id, held| @studio.result_cache.put(keys.fetch(id), Core::Data::Records::HELD_CLASS.write(held)) if keys.key?(id) }
      end

      private

      # @return [Hash{Integer=>String}] class id => the key under which is kept what it says
      def keys
        @keys ||= begin
          taps = @studio.live_events.taught
          held = taps.keys | @studio.classes.ending_noted
          @studio.classes.revisions_of(held).to_h { |id, revision| [id, "held-#{Digest.of([id, revision, taps[id], basis])}"] }
        end
      end

      def basis
        @basis ||= Digest.of([WORKED_OUT, techniques.values, Core::Data::Records::CALIBRATION.write(calibration)])
      end

      # A repeated class has the key of the one it repeats: here each is named by its number.
      def inputs(stored)
        own = @library.inputs(stored.state)
        own.with(workshop: own.workshop.with(key: stored.id.to_s), table: @library.table.with(techniques: techniques),
          calibration: calibration)
      end

      def techniques
        @techniques ||= @library.table.techniques.transform_values do |technique|
          seconds = before["time/#{technique.key}"]
          seconds ? technique.with(seconds: seconds) : technique
        end
      end

      def calibration
        @calibration ||= @library.calibration.with(losses: {}, rejects: {},
          **People::NAMES.to_h { |name| [name, before.fetch("people/#{name}", @library.calibration.public_send(name))] })
      end

      def before
        @before ||= @studio.lessons.before
      end

      def fading
        months = @library.settings.fade_months
        Core::Logbook::Decay.new(today: months ? @today : nil, half_months: months)
      end

      def read(data)
        data && Core::Data::Records::HELD_CLASS.read(data)
      end
    end
  end
end
