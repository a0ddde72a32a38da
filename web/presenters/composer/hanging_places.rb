# frozen_string_literal: true

module Web
  module Presenters
    class Composer
      # Where things can hang in the design, and what hangs there.
      module HangingPlaces
        # @return [Array<(String, String)>] what a component can hang from: whole components and the items of their patterns
        def places_for(component)
          others = (design.components - [component]).reject(&:apart).select { |other| takes_hanging?(other) }
          [['', 'the middle of the piece']] + others.flat_map do |other|
            [[other.key, name_of(other)], *item_places(other)]
          end
        end

        # @return [Core::Project::Hanging] where it hangs
        def hanging(component)
          Core::Project::Hanging.parse(component.hung_at) || Core::Project::Hanging::CENTRE
        end

        def which
          WHICH
        end

        # @return [String] one of WHICH
        def which_of(component)
          place = hanging(component)
          place.which == :every ? "every_#{place.step}" : place.which.to_s
        end

        # @return [String] of places_for
        def place_of(component)
          place = hanging(component)
          [place.component, *place.item].compact.join('.')
        end

        # @return [String] what its maker calls it, where that says more than its kind
        def title_of(component)
          own = component.key.tr('_', ' ')
          component.key.start_with?(component.construction.to_s) ? name_of(component) : own
        end

        private

        def below(component, depth)
          hung = design.hung.select { |other| (hanging(other).component || design.path.first&.key) == component.key }
          [Row.new(component: component, depth: depth), *hung.flat_map { |other| depth > 8 ? [] : below(other, depth + 1) }]
        end

        # What hangs from nothing that is there must still be seen.
        def astray
          shown = design.makes + design.path.flat_map { |component| below(component, 0).map(&:component) }
          (design.components - shown).map { |component| Row.new(component: component, depth: 1) }
        end

        def takes_hanging?(component)
          Core::Construction::Kinds.fetch(component.construction).takes_hanging?
        end

        def name_of(component)
          "#{say("constructions.#{component.construction}")}#{" (#{component.key[/\d+\z/]})" if component.key.match?(/_\d+\z/)}"
        end

        def item_places(component)
          patterns(component).flat_map { |_, chips| leaves(chips) }.filter_map do |chip|
            [chip.place, "#{chip.part.name} of the #{name_of(component)}"] if chip.part
          end
        end

        def leaves(chips)
          chips.flat_map { |chip| chip.inner ? leaves(chip.inner) : [chip] }
        end

        def known_places
          @known_places ||= design.components.flat_map { |c| patterns(c).flat_map { |p, chips| ["#{c.key}.#{p.name}", *places_in(chips)] } }
        end

        def places_in(chips)
          chips.flat_map { |chip| [chip.place, *(chip.inner ? places_in(chip.inner) : [])] }
        end

        # The pattern that fills comes first to hand.
        def first_place
          filling = design.components.find { |c| c.construction != :findings } || design.components.first
          filling ? patterns(filling).map { |p, chips| chips.last ? chips.last.place : "#{filling.key}.#{p.name}" }.first.to_s : ''
        end
      end
    end
  end
end
