# frozen_string_literal: true

module Core
  module Session
    # The engine with somebody watching: it writes down who does what from when to when. Slower, for a few runs only.
    class WatchedEngine < Engine
      # What the engine's kinds of time are called to those who read them.
      SHOWN = {
        AWAY => :welcome,
        WORK => :work,
        TOOLS => :wait_tool,
        GROUP => :wait_group,
        HELP => :wait_help,
        HELPED => :helped,
        WATCHING => :demonstration,
        CHECKPOINT => :wait_help,
        CHECKED => :helped,
        DRYING => :drying,
        OPTIONAL => :extra,
        DONE => :done
      }.freeze

      # Whoever waits for help, or has it, keeps what they hold.
      HOLDING = [WORK, OPTIONAL, HELP, HELPED].freeze

      # @param real [Proc] minute of work => minute by the clock, pauses counted
      # @return [Watched]
      def told(real, model)
        @real = ->(ticks) { real.(minutes(ticks)) }
        keys = model.people.map(&:key)
        rows = keys.each_with_index.to_h { |key, person| [key, row(person, model)] }
        Watched.new(rows: rows, shown: @began.to_h { |showing, ticks|
          [@showings[showing].label, @real.(ticks)]
        }, begun: keys.zip(@starts.map { |starts|
             starts.transform_values(&@real)
           }).to_h,
          ended: rows.transform_values { |row| ended(row) },
          finished: keys.zip(finished.map(&real)).to_h, waiting: waiting(rows), held: held(rows, model), helping: helping(rows))
      end

      private

      def reset
        super
        @segments = Array.new(@people) { [] }
        @starts = Array.new(@people) { {} }
        @began = {}
        @alone = 0
        @turned_at = Array.new(@people, 0)
      end

      def turn(person, kind)
        @segments[person] << [@does[person], @since[person], @now, @turned_at[person]] if @now > @since[person]
        @turned_at[person] = @place[person]
        super
      end

      def works(person, step)
        @starts[person][@model.people[person].tasks[@place[person]].label] ||= @now
        super
      end

      def demonstration_begins(showing)
        super
        @began[showing] = @now
      end

      def is_shown_alone(person)
        super
        @alone += @moments[person] - @now
      end

      def row(person, model)
        tasks = model.people[person].tasks
        done = @segments[person].map do |kind, from, to, place|
          task = tasks[place]
          Segment.new(kind: SHOWN.fetch(kind), from: @real.(from), to: @real.(to), step: task&.label, tools: held_while(kind, task))
        end
        done = timed_out(done, model)
        finish = done.empty? ? 0.0 : done.last.to
        done + [Segment.new(kind: :clearing, from: finish, to: finish + model.clearing)]
      end

      # @return [Hash{String=>Float}] label of a task => minute at which the last of its work ended
      def ended(row)
        row.select { |segment| %i[work helped extra].include?(segment.kind) }.group_by(&:step).transform_values { |same| same.map(&:to).max }
      end

      # @return [Array<String>] each tool as often as it is held: all the task needs, or what was kept from before it
      def held_while(kind, task)
        return [] if task.nil?

        fetched = HOLDING.include?(kind) ? {} : task.takes || task.tools
        task.tools.flat_map { |tool, held| [tool] * (held - fetched.fetch(tool, 0)) }
      end

      # Something more is put away when it is time to clear up.
      def timed_out(segments, model)
        last = [model.minutes - model.clearing, segments.reject { |segment| segment.kind == :extra }.map(&:to).max || 0.0].max
        segments.reject { |segment|
          segment.kind == :extra && segment.from >= last
        }.map { |segment|
          segment.kind == :extra ? segment.with(to: [segment.to,
                                                     last].min) : segment
        }
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

      def held(rows, model)
        held = model.tools.transform_values { 0.0 }
        rows.values.flatten.each { |segment| segment.tools.each { |tool| held[tool] += segment.minutes if held.key?(tool) } }
        held
      end

      def helping(rows)
        rows.values.flatten.select { |segment| segment.kind == :helped }.sum(&:minutes) + @began.keys.sum { |showing|
          @showings[showing].minutes
        } + minutes(@alone)
      end
    end
  end
end
