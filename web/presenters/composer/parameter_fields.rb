# frozen_string_literal: true

module Web
  module Presenters
    class Composer
      # The patterns, charts and settings of a component, as fields.
      module ParameterFields
        # @return [Array<(Core::Construction::Parameter, Array<Chip>)>] the patterns of a component
        def patterns(component)
          declared(component).select { |p| p.type == :pattern }.map do |parameter|
            data = component.parameters.fetch(parameter.name.to_s, parameter.default || [])
            [parameter, chips(data.is_a?(Array) ? data : [], [component.key, parameter.name])]
          end
        end

        # @return [Boolean] whether its settings are open at first: what is chosen, what hangs, and what needs another look
        def unfolded?(component)
          place.start_with?("#{component.key}.") || component.hung_at || patterns(component).empty? ||
            problems.any? { |problem| problem.at[0] == 'components' && problem.at[1] == design.components.index(component) }
        end

        # Some are set together, beside a picture of what they make. @return [Hash{Symbol, nil=>Array<Core::Construction::Parameter>}]
        def settings(component)
          shown = declared(component).reject { |p| %i[pattern chart].include?(p.type) }
          now = shown.to_h { |parameter| [parameter.name, value(component, parameter)] }
          shown.select { |parameter| parameter.says_something?(now) }.group_by(&:group)
        end

        # @return [Array<(String, String)>] an enlarged drawing of each end with its figures in words; empty where there are no ends or the
        #   component cannot be built
        def end_pictures(component)
          end_steps(component).map { |step|
            [Formats::CloseUp.of(step, title: say('end_picture.title')).svg, end_numbers(step.pictured)]
          }
        end

        # Whether it is written over several lines.
        def written?(parameter)
          %i[path work].include?(parameter.type)
        end

        # @param component [Core::Project::Component] @param parameter [Core::Construction::Parameter]
        # @return [String] in the words of its construction, where those differ from the usual ones
        def label(component, parameter)
          own = "parameters_of.#{component.construction}.#{parameter.name}"
          say(Formats::Wording.words?(own) ? own : "parameters.#{parameter.name}")
        end

        # @return [Array<ChartGrid>] empty rows where it was not begun
        def charts(component)
          declared(component).select { |p| p.type == :chart }.map do |parameter|
            data = component.parameters[parameter.name.to_s]
            data = nil unless data.is_a?(Hash) && data['rows'].is_a?(Array) && data['palette'].is_a?(Hash)
            ChartGrid.new(at: "#{component.key}.#{parameter.name}", name: name_of(component).capitalize,
              label: label(component, parameter), rows: data ? data['rows'].map(&:chars) : [],
              letters: data ? data['palette'].map { |letter, key| [letter, table.parts[key]] } : [],
              problems: problems_at(component, parameter.name))
          end
        end

        # @return [String] the letter that paints
        def letter(grid)
          grid.letters.map(&:first).include?(@letter) ? @letter : grid.letters.first&.first
        end

        # @return [Object] a parameter's data as saved, or its default
        def value(component, parameter)
          component.parameters.fetch(parameter.name.to_s, parameter.default)
        end

        # @param now [Object] the current value: it is always among the choices
        def choices(parameter, now)
          case parameter.type
          when :line then named(:lines, parameter, now)
          when :part then named(:parts, parameter, now)
          when :choice then parameter.of.map { |choice| [choice.to_s, Formats::Wording.say("choices.#{choice}")] }
          end
        end

        def named(name, parameter, now)
          suited = table.offered(name).select { |item| parameter.allows?(item) }
          [*suited, table.public_send(name)[now.to_s]].compact.uniq(&:key).map { |item| [item.key, item.name] }
        end

        # @return [Boolean] whether it repeats until a length is met
        def own_length?(component)
          Core::Construction::Kinds.fetch(component.construction).method_defined?(:fill) &&
            built_fill?(component)
        end

        # @return [String] '' for what takes the rest
        def own_length_of(component)
          return length(component.own_length) if component.length || component.hung_at || component.apart

          ''
        end

        private

        # Ends that differ on one piece.
        EACH = [Core::Making::CordEnd, Core::Making::WireEye].freeze

        # @return [Array<Core::Making::StepUse>] steps that make an end: the first of those alike; of cords and wire, every one that differs
        def end_steps(component)
          return [] unless drawn?

          own = piece.steps.select { |one| one.key.start_with?("#{component.key}/") }
          lines = own.find { |one| one.pictured.is_a?(Core::Making::LineEnd) }
          [*lines, *own.select { |one| EACH.any? { |kind| one.pictured.is_a?(kind) } }.uniq(&:pictured)]
        end

        def end_numbers(made)
          case made
          when Core::Making::CordEnd then return say('end_picture.cord_numbers', length: made.length)
          when Core::Making::WireEye then return say('end_picture.eye_numbers', count: made.wraps, inside: made.inside)
          end

          say('end_picture.numbers', length: made.length, stays: made.stays, crimp: made.passes)
        end

        def declared(component)
          Core::Construction::Kinds.fetch(component.construction).parameters.values
        end

        def chips(items, place)
          items.each_with_index.select { |item, _| item.is_a?(Hash) }.map do |item, index|
            here = [*place, index]
            inner = item['repeat'].is_a?(Array) ? chips(item['repeat'], here) : nil
            Chip.new(place: here.join('.'), part: inner ? nil : table.parts[item['part']], count: item[inner ? 'times' : 'count'] || 1,
              fill: item['fill'] == true, inner: inner)
          end
        end
      end
    end
  end
end
