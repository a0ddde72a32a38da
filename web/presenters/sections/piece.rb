# frozen_string_literal: true

module Web
  module Presenters
    module Sections
      # What the class makes, and what of it makers measured themselves.
      class Piece < Section
        def design
          plan.design
        end

        # @return [Array<(String, String)>] key and name
        def projects
          @reading.projects.map { |saved| [saved.design.key, saved.design.name] }
        end

        # @return [Core::Project::Component, nil] the first whose construction has a centre
        def centred
          design.components.find { |component| Core::Construction::Kinds.fetch(component.construction).parameters.key?(:centre) }
        end

        def centre_key
          centred&.parameters&.dig('centre', 0, 'part')
        end

        # @return [Array<Core::Catalogue::Part>]
        def beads
          table = @reading.catalogue
          [*table.offered(:parts).select(&:bead?), table.parts[centre_key]].compact.uniq(&:key)
        end

        # One thing that can be measured. planned: in words · owners: [(name, value)] of whom there is a measure
        Measured = Core::Value.define(:address, :name, :planned, :usual, :owners)

        # @return [Array<Measured>] what of this project makers can measure on their own work
        def measured
          SwatchForm.measured(plan).map do |address, use|
            Measured.new(address: address, name: measure_name(use), usual: measure_value(use, use.usual), owners: owners(use),
              planned: use.own ? 'as measured' : 'by geometry or from memory')
          end.uniq(&:address)
        end

        # A way that only some take. text: as it is kept
        OwnWay = Core::Value.define(:text, :words)

        # @return [Array<OwnWay>]
        def own_ways
          whom = WayForm.people(plan)
          plan.own_ways.entries.map do |entry|
            way = say("choice_reasons.#{entry.parameter}.#{entry.way}.name")
            label = say("choice_reasons.#{entry.parameter}.label")
            OwnWay.new(text: entry.to_s, words: say('own_way', whom: whom.fetch(entry.who, own_whom(entry)), label: label, way: way))
          end
        end

        # @return [Array<(String, String)>] key and name
        def makers
          [[Contracts::SwatchContract::STUDIO, 'everyone, as the studio’s'], *people.map { |one| [one.attendee.key, one.attendee.name] }]
        end

        # @return [Array<String>] what is planned without anyone's measure, to be asked for on paper
        def unmeasured
          SwatchForm.measured(plan).values.select { |use| use.own.nil? }.map { |use|
            "#{measure_name(use)}: planned with #{measure_value(use, use.usual)}, measured ________"
          }.uniq
        end

        private

        # Of levels of whom nobody is here now, and of people without a size.
        def own_whom(entry)
          entry.up_to ? Section.up_to(none: '')[entry.up_to] : plan.person(entry.who.delete_prefix('person-'))&.attendee&.name.to_s
        end

        def measure_name(use)
          "#{say("own_measures.#{use.measure.name}")}, #{use.line.name}"
        end

        def measure_value(use, value)
          use.measure.unit == :mm ? length(Core::Measure::Length.mm(value.round(1))) : format('%g', value.round(1))
        end

        def owners(use)
          asked = use.swatch(use.usual)
          whose = [['The studio', plan.table.swatches], *people.map { |one| [one.attendee.name, one.attendee.swatches] }]
          whose.filter_map do |name, swatches|
            found = swatches.find { |swatch| swatch.same?(asked) }
            [name, measure_value(use, found.value)] if found
          end
        end
      end
    end
  end
end
