# frozen_string_literal: true

module Core
  module Project
    # Changes to a whole design while it is composed. Each answers a new design; what stands in it may not be buildable yet.
    class Edit
      # A place in a pattern: a component's key, its parameter's name and the path inside
      Place = Value.define(:component, :parameter, :path) do
        # @param text [String] such as "front.pattern.0.1" @return [Place, nil]
        def self.parse(text)
          component, parameter, *path = text.to_s.split('.')
          return unless component && parameter && path.all? { |step| step.match?(/\A\d{1,4}\z/) }

          new(component: component, parameter: parameter, path: path.map(&:to_i))
        end

        def to_s
          [component, parameter, *path].join('.')
        end

        def next
          with(path: [*path[0...-1], path.last + 1])
        end
      end

      PATTERN_CHANGES = %i[remove group ungroup fill].freeze

      # @param design [Design]
      def initialize(design)
        @design = design
      end

      # Inserts a part behind a place, or at the end of a pattern when the place names none of its items.
      def insert(place, part_key)
        at = place.path.empty? ? place.with(path: [items(place).size]) : place.next
        pattern(place) { |items| PatternEdit.insert(items, at.path, { 'part' => part_key }) }
      end

      # Moves the item at one place in front of the item at another, in the same list or another.
      def carry(from, target)
        item = PatternEdit.item(items(from), from.path) or return @design
        return @design if target.to_s.start_with?("#{from}.") || target == from

        return shift(from, target) if from.with(path: from.path[0...-1]) == target.with(path: target.path[0...-1])

        without = Edit.new(pattern(from) { |items| PatternEdit.remove(items, from.path) })
        without.pattern(target) { |items| PatternEdit.insert(items, target.path, item) }
      end

      def move(place, by)
        pattern(place) { |items| PatternEdit.move(items, place.path, by) }
      end

      def count(place, by)
        pattern(place) { |items| PatternEdit.count(items, place.path, by) }
      end

      # Puts a part in the place of the item there.
      def replace(place, part_key)
        pattern(place) { |items| PatternEdit.replace(items, place.path, part_key) }
      end

      # Puts a part in the place of all items in all patterns that are of the same part as the one there.
      def replace_alike(place, part_key)
        from = PatternEdit.item(items(place), place.path)&.fetch('part', nil) or return @design
        @design.with(components: @design.components.map { |c| alike_replaced(c, from, part_key) })
      end

      # @param change [Symbol] one of PATTERN_CHANGES
      def pattern_change(change, place)
        pattern(place) { |items| PatternEdit.public_send(change, items, place.path) }
      end

      # @param values [Hash{String=>Object}] parameters by name, as data
      def set(component_key, values)
        component(component_key) { |c| c.with(parameters: c.parameters.merge(values).compact) }
      end

      # Adds a component after the others on the path, or hung at a place.
      # @param construction [Symbol] @param parameters [Hash] @param hung_at [String, nil] a Hanging in text
      # @param apart [Boolean] whether it is made first and used like a part
      def add(construction, parameters, hung_at: nil, apart: false)
        key = (1..).lazy.map { |n| n == 1 ? construction.to_s : "#{construction}_#{n}" }.find { |k|
          @design.components.none? { |c|
            c.key == k
          }
        }
        @design.with(components: @design.components + [Component.new(key: key, construction: construction, parameters: parameters,
          hung_at: hung_at, apart: apart)])
      end

      # Changes a chart. @param place [Place] of the chart @yieldparam data [Hash] @yieldreturn [Hash]
      def chart(place)
        component(place.component) do |c|
          data = c.parameters[place.parameter]
          data.is_a?(Hash) && data['rows'].is_a?(Array) ? c.with(parameters: c.parameters.merge(place.parameter => yield(data))) : c
        end
      end

      # Hangs what hangs somewhere else. @param hanging [Hanging]
      def hang(component_key, hanging)
        component(component_key) { |c| c.hung_at ? c.with(hung_at: hanging.to_s) : c }
      end

      # @param length [Measure::Length, nil] see Component
      def own_length(component_key, length)
        component(component_key) { |c| c.with(length: length) }
      end

      def drop(component_key)
        @design.with(components: @design.components.reject { |c| c.key == component_key })
      end

      # Replaces both ends of the path by rows of findings; empty rows leave an end open.
      # @param first [Array<Hash>] @param last [Array<Hash>] patterns as data
      def close(first, last, takes_clasp: false)
        middle = @design.components.reject { |c| c.construction == :findings && c.hung_at.nil? && !c.apart }
        ends = [['first_end', first, false], ['last_end', last, takes_clasp]].map do |key, parts, any_link|
          next if parts.empty?

          Component.new(key: key, construction: :findings, parameters: { 'parts' => parts, **(any_link ? { 'takes_clasp' => true } : {}) })
        end
        @design.with(components: [ends.first, *middle, ends.last].compact)
      end

      # @param swaps [Hash{String=>String}] part keys to part keys; those that change nothing are left out
      def colourway(name, swaps)
        kept = swaps.reject { |from, to| to.empty? || from == to }
        @design.with(colourways: @design.colourways.merge(name => kept))
      end

      def drop_colourway(name)
        @design.with(colourways: @design.colourways.except(name))
      end

      def pattern(place)
        before = items(place)
        after = nil
        changed = component(place.component) do |c|
          known = c.parameters.fetch(place.parameter, [])
          next c unless pattern?(c, place.parameter) && known.is_a?(Array)

          c.with(parameters: c.parameters.merge(place.parameter => after = yield(known)))
        end
        after ? following(changed, place, before, after) : changed
      end

      private

      # What hangs at an item goes along when the item moves.
      def following(design, place, before, after)
        design.with(components: design.components.map { |c| c.hung_at ? c.with(hung_at: followed(c.hung_at, place, before, after)) : c })
      end

      def followed(hung_at, place, before, after)
        hanging = Hanging.parse(hung_at)
        name, *path = hanging&.item.to_s.split('.')
        return hung_at unless hanging && hanging.component == place.component && name == place.parameter && path.any?

        item = PatternEdit.item(before, path.map(&:to_i))
        moved = item && PatternEdit.path_of(after, item)
        moved ? hanging.with(item: [name, *moved].join('.')).to_s : hung_at
      end

      def alike_replaced(component, from, part_key)
        component.with(parameters: component.parameters.to_h { |name, value|
          [name, value.is_a?(Array) && pattern?(component, name) ? PatternEdit.replace_alike(value, from, part_key) : value]
        })
      end

      def pattern?(component, name)
        Construction::Kinds.fetch(component.construction).parameters[name.to_sym]&.type == :pattern
      rescue UnknownKey
        false
      end

      def items(place)
        found = @design.components.find { |c| c.key == place.component }
        data = found && found.parameters[place.parameter]
        data.is_a?(Array) ? data : []
      end

      def component(key)
        @design.with(components: @design.components.map { |c| c.key == key ? yield(c) : c })
      end

      def shift(from, target)
        by = target.path.last - from.path.last
        move(from, by.positive? ? by - 1 : by)
      end
    end
  end
end
