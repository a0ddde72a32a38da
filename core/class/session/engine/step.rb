# frozen_string_literal: true

module Core
  module Session
    class Engine
      # A task as the engine uses it. ticks: on average · walk: to fetch what it needs, in ticks
      # table: multipliers of that by random number · stuck_from: number from which someone is stuck · tool, held: the first tool it
      # needs, nil for none · more: further ones · gives, given: the first tool it puts back, nil for none · gives_more: further ones
      # dries: ticks, nil for none · needs_dry: places of the tasks that must be dry, or nil
      # help_below: random numbers under it call for help · showing: of the demonstration that it needs, nil for none
      # slot: place of its random numbers · kind: WORK or OPTIONAL
      class Step
        attr_reader :ticks, :walk, :table, :stuck_from, :help_below, :checks, :slot, :showing, :tool, :held, :more, :gives, :given,
          :gives_more, :dries, :needs_dry, :kind

        # How times of one spread turn out.
        #
        # @param table multipliers by random number
        # @param stuck_from number from which someone is stuck
        Luck = Value.define(:table, :stuck_from) do
          def self.of(sigma, stuck)
            table = Spread.table(sigma)
            new(table: table, stuck_from: (table.bsearch_index { |luck| luck > stuck } || Spread::PLACES) * Spread::COARSE)
          end
        end

        # @param model [Model] @return [Array<Array<Step>>] of each person, in order
        def self.of(model)
          lucks = model.sigmas.map { |sigma| Luck.of(sigma, model.stuck) }
          model.people.map do |person|
            slots = RandomStreams.slots(person)
            labels = person.tasks.map(&:label)
            person.tasks.map do |task|
              needs_dry = task.needs_dry.filter_map { |label| labels.index(label) }
              new(task, lucks[task.sigma], model, slot: slots.index(task.slot), needs_dry: needs_dry)
            end
          end
        end

        # @param task [Model::Work] @param luck [Luck] @param needs_dry [Array<Integer>] places of tasks
        def initialize(task, luck, model, slot:, needs_dry:)
          @ticks = task.minutes.to_f * TICKS
          @table = luck.table
          @stuck_from = luck.stuck_from
          @help_below = (task.help * Spread::STEPS).round
          @checks = task.check
          @slot = slot
          @dries = task.dries.positive? ? Engine.ticks(task.dries) : nil
          @needs_dry = some(needs_dry)
          @showing = task.demonstration
          @kind = task.optional ? OPTIONAL : WORK
          use(task, model.tools.keys)
          @walk = @tool ? Engine.ticks(model.walking) : 0
        end

        private

        # @param tools [Array<String>] keys of those that can be waited for
        def use(task, tools)
          (@tool, @held), *more = known(task.takes || task.tools, tools)
          @more = some(more)
          (@gives, @given), *gives_more = known(task.gives || task.tools, tools)
          @gives_more = some(gives_more)
        end

        # Each step has all fields, nil or not: compiled code then finds them.
        def some(list)
          list.empty? ? nil : list
        end

        def known(numbers, tools)
          numbers.filter_map { |key, number| (at = tools.index(key)) && [at, number] }
        end
      end
    end
  end
end
