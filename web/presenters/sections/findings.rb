# frozen_string_literal: true

module Web
  module Presenters
    module Sections
      # What the fit checks found in a class, each kind once, with the number that stands at its pins.
      class Findings
        # number: as pinned on the drawings · names: whom it concerns · finding: the first of its kind · person: whose it is shown for
        Row = Core::Value.define(:number, :finding, :names, :person)

        # @param plan [Core::Planning::Plan] @param chosen [Core::Planning::PersonPlan, nil]
        def initialize(plan, chosen)
          @plan = plan
          @chosen = chosen
        end

        # @return [Array<Row>] what is worth a look, worst first
        def rows
          @rows ||= grouped.each_with_index.map do |same, index|
            person = (same.map(&:last) & [@chosen]).first || same.first.last
            Row.new(number: index + 1, finding: same.first.first, names: same.map { |_, one| one.attendee.name }, person: person)
          end
        end

        # @return [Hash{String=>Integer}] finding keys to their numbers
        def numbers
          rows.to_h { |row| [row.finding.key, row.number] }
        end

        private

        def grouped
          all = @plan.people.flat_map { |person|
            person.findings.select { |finding|
              finding.worth_a_look? && finding.status != :watch
            }.map { |finding| [finding, person] }
          }
          same = all.group_by { |finding, person| [finding.key, (person.attendee.key if finding.join.nil?)] }.values
          same.sort_by.with_index { |rows, index| [Core::Fit::Check::ORDER.index(rows.first.first.status), index] }
        end
      end
    end
  end
end
