# frozen_string_literal: true

module Application
  module Tasks
    # Works out how long each design takes, alone and in groups. Reports what is known so far, a design at a time.
    TimeProjects = Core::Value.define(:designs, :table, :calibration, :date) do
      # @return [Hash{String=>Array}] design key => [[Alone], [Group]]; designs that cannot be built are not in it
      def call(report)
        designs.each_with_index.reduce({}) do |known, (design, index)|
          report.call(Work::Progress.new(share: index.fdiv(designs.size)))
          time = Core::Comparison::ProjectTime.new(design, table, calibration, date)
          known.merge(design.key => [time.alone, time.groups]).tap { |so_far| report.call(so_far) }
        rescue Core::Error
          known
        end
      end
    end
  end
end
