# frozen_string_literal: true

module Web
  module Presenters
    module Sections
      # Why a class cannot be built, and how it can be put right.
      class Problem < Section
        def words
          say("problem.#{problem.code}", detail: problem.detail)
        end

        # @return [Array<String>] each thing that does not go together
        def details
          problem.problems.map { |one| Formats::Wording.problem(one, unit: unit) }.uniq
        end

        # @return [Array<(String, String)>] key and name of projects it could make instead
        def projects
          @reading.projects.map { |saved| [saved.design.key, saved.design.name] }
        end

        def people
          @reading.stored.state.attendees.map(&:name)
        end

        private

        def problem
          @reading.problem
        end
      end
    end
  end
end
