# frozen_string_literal: true

module Core
  module Session
    # Watches one run of the engine (Engine#run names the events) and writes down who does what from when to when.
    class Recorder
      # What the engine's kinds of time are called to those who read them.
      SHOWN = {
        Engine::AWAY => :welcome,
        Engine::WORK => :work,
        Engine::TOOLS => :wait_tool,
        Engine::GROUP => :wait_group,
        Engine::HELP => :wait_help,
        Engine::HELPED => :helped,
        Engine::WATCHING => :demonstration,
        Engine::CHECKPOINT => :wait_help,
        Engine::CHECKED => :helped,
        Engine::DRYING => :drying,
        Engine::OPTIONAL => :extra,
        Engine::DONE => :done
      }.freeze

      # People who wait for help, or get it, keep their tools.
      HOLDING = [Engine::WORK, Engine::OPTIONAL, Engine::HELP, Engine::HELPED].freeze

      # What one person is doing now. place: of the task among theirs · since: ticks
      Doing = Struct.new(:kind, :since, :place)

      # @param model [Model]
      # @param clock [#call] minute of work => minute by the clock, pauses counted
      def initialize(model, clock)
        @model = model
        @clock = ->(ticks) { clock.(ticks.fdiv(Engine::TICKS)) }
        @rows = model.people.map { [] }
        @doing = model.people.map { Doing.new(Engine::AWAY, 0, 0) }
        @begun = model.people.map { {} }
        @showings = {}
        @alone = 0
        @by_neighbours = 0
      end

      # --- what the engine tells

      def turned(person, kind, now, place)
        was = @doing[person]
        write(person, was, now) if now > was.since
        @doing[person] = Doing.new(kind, now, place)
      end

      def step_begun(person, place, now)
        @begun[person][task(person, place).label] ||= @clock.(now)
      end

      def demonstration_begun(showing, now)
        @showings[showing] = now
      end

      def shown_alone(ticks)
        @alone += ticks
      end

      def helped_by_neighbour(ticks)
        @by_neighbours += ticks
      end

      # @param finished [Array<Float>] minute of work at which each person was done
      # @return [RunTrace]
      def run(finished)
        rows = keyed(@rows.map { |row| tidied_up(row) })
        RunTrace.new(rows: rows, begun: keyed(@begun),
          shown: @showings.to_h { |showing, ticks| [@model.demonstrations[showing].label, @clock.(ticks)] },
          ended: rows.transform_values { |row| ended(row) },
          finished: keyed(finished.map { |minute| @clock.(minute * Engine::TICKS) }),
          waiting: waiting(rows), held: held(rows), helping: helping(rows))
      end

      private

      def keyed(values)
        @model.people.map(&:key).zip(values).to_h
      end

      def task(person, place)
        @model.people[person].tasks[place]
      end

      def write(person, was, now)
        task = task(person, was.place)
        @rows[person] << Steps::Segment.new(kind: SHOWN.fetch(was.kind), from: @clock.(was.since), to: @clock.(now), step: task&.label,
          tools: held_while(was.kind, task))
      end

      # @return [Array<String>] each tool as often as it is held: all the task needs, or what was kept from before it
      def held_while(kind, task)
        return [] if task.nil?

        fetched = HOLDING.include?(kind) ? {} : task.takes || task.tools
        task.tools.flat_map { |tool, held| [tool] * (held - fetched.fetch(tool, 0)) }
      end

      def tidied_up(row)
        row = extras_put_away(row)
        finish = row.empty? ? 0.0 : row.last.to
        row + [Steps::Segment.new(kind: :clearing, from: finish, to: finish + @model.clearing)]
      end

      # Something more is put away when it is time to clear up.
      def extras_put_away(row)
        last = [@model.minutes - @model.clearing, row.reject { |segment| segment.kind == :extra }.map(&:to).max || 0.0].max
        row.filter_map do |segment|
          next segment unless segment.kind == :extra

          segment.with(to: [segment.to, last].min) if segment.from < last
        end
      end

      # @return [Hash{String=>Float}] label of a task => minute at which the last of its work ended
      def ended(row)
        worked = row.select { |segment| %i[work helped extra].include?(segment.kind) }
        worked.group_by(&:step).transform_values { |same| same.map(&:to).max }
      end

      # @return [Array<(Float, Integer, Integer)>]
      def waiting(rows)
        changes = rows.values.flatten.flat_map do |segment|
          place = { wait_tool: 0, wait_help: 1 }[segment.kind] or next []
          [[segment.from, place, 1], [segment.to, place, -1]]
        end
        counts = [0, 0]
        changes.sort_by(&:first).map do |minute, place, change|
          counts[place] += change
          [minute, *counts]
        end
      end

      def held(rows)
        held = @model.tools.transform_values { 0.0 }
        rows.values.flatten.each { |segment| segment.tools.each { |tool| held[tool] += segment.minutes if held.key?(tool) } }
        held
      end

      def helping(rows)
        helped = rows.values.flatten.select { |segment| segment.kind == :helped }.sum(&:minutes)
        helped + @showings.keys.sum { |showing| @model.demonstrations[showing].minutes } + (@alone - @by_neighbours).fdiv(Engine::TICKS)
      end
    end
  end
end
