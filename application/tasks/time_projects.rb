# frozen_string_literal: true

module Application
  module Tasks
    # Works out how long each design takes, alone and in groups. Reports what is known so far: first all of them alone, which is quick, then
    # a design at a time in groups.
    TimeProjects = Core::Value.define(:designs, :table, :calibration, :date) do
      # @return [Hash{String=>Array}] design key => [[Alone], [Group]], nil for groups that are still to come; designs that cannot be built
      #   are not in it
      def call(report)
        times = designs.to_h { |design| [design.key, Core::Comparison::ProjectTime.new(design, table, calibration, date)] }
        known = each_of(times, {}, report) { |time, _| [time.alone, nil] }
        each_of(times.slice(*known.keys), known, report) { |time, (alone, _)| [alone, time.groups] }
      end

      private

      def each_of(times, known, report)
        times.each_with_index.reduce(known) do |so_far, ((key, time), index)|
          report.call(Work::Progress.new(share: index.fdiv(times.size)))
          so_far.merge(key => yield(time, so_far[key])).tap { |now| report.call(now) }
        rescue Core::Error
          so_far.except(key)
        end
      end
    end
  end
end
