# frozen_string_literal: true

module Core
  module Construction
    module Kinds
      class WireLink
        # The steps from the cut wire to the last eye.
        module Work
          # Runs of beads that a sentence names one by one.
          FEW = 5

          private

          def steps(maker)
            [(step('cut', 'cutting_wire', 1, gives: %i[cut], cautions: %i[cutting]) unless last == :pin),
             (eye_step('last_eye', :last, maker, needs: %i[cut], gives: %i[line last_eye], pictured: pictured(:last)) unless last == :pin),
             (string_step if beads.any?),
             eye_step('first_eye', :first, maker, needs: last == :pin ? [] : %i[last_eye], gives: %i[line first_eye],
               shuts: %i[loose], cautions: %i[cutting],
               pictured: pictured(:first, beads.first)),
             step('check', 'measuring', 1, needs: %i[first_eye], checkpoint: true, values: { also: eyes_stand },
               text: :"wire_link_check#{'_bare' if beads.empty?}")].compact
          end

          # @return [Making::StepUse] of one eye: how far from its end the wire is bent, how wide, how often wound
          def eye_step(key, place, maker, **rest)
            kind = kind_at(place)
            grip = bent(place) - neck(kind) + held(kind, maker.tails_on(wire))
            # What is held need not be exact; what is rolled up is.
            grip = Measure::Length.mm(grip.to_mm.round) unless kind == :simple
            bare = place == :first && beads.empty? ? '_bare' : ''
            step(key, TECHNIQUES.fetch(kind), 1, text: :"wire_link_#{key}#{bare}_#{kind == :simple ? 'simple' : 'wrapped'}",
              values: { hung: [], inside: inner_at(place), grip: grip, neck: neck(kind), turned: kind == :simple ? nil : wraps,
                        also: told_of(kind), jaw: jaw(place) }.compact, **rest)
          end

          # @return [Array<Symbol>] what is said of an eye beside its size and turns
          def told_of(kind)
            return [] if kind == :simple

            [(:double_eye if kind == :double_wrapped), (:"wraps_#{wrapped_way}" unless wrapped_way == :exactly)].compact
          end

          # How the two eyes stand to each other.
          # Both eyes come out alike at one place of the jaw.
          def jaw(place)
            return if last == :pin || inner_at(:first) != inner_at(:last)

            place == :last ? :mark : :at_mark
          end

          def eyes_stand
            return [] if last == :pin

            [quarter_turned ? :eyes_across : :eyes_in_plane]
          end

          def pictured(place, beside = nil)
            kind = kind_at(place)
            Making::WireEye.new(thickness: thickness, inside: inner_at(place), rounds: rounds(kind), wraps: kind == :simple ? 0 : wraps,
              beside: beside)
          end

          # From the end that is made first.
          def string_step
            threaded = beads.reverse
            few = threaded.chunk_while { |a, b| a == b }.count <= FEW
            step('string', 'stringing', beads.size, needs: last == :pin ? [] : %i[last_eye], gives: %i[bead pin loose],
              values: { bead: beads.first, threaded: Making::FromBag.new(parts: threaded), also: mouths(threaded) },
              order: few ? [] : threaded, text: :"wire_link_string#{'_pin' if last == :pin}#{'_many' unless few}")
          end

          # Where a cap opens, seen from hands that thread it.
          def mouths(threaded)
            covers = cap_joins(threaded, threaded.each_index.to_a)
            covers.map { |join| threaded.index(join.inner) > join.at ? :cap_opens_on : :cap_opens_back }.uniq
          end
        end
      end
    end
  end
end
