# frozen_string_literal: true

module Web
  module Presenters
    # Who changed what, as a table.
    class ChangesMade
      Row = Core::Value.define(:at, :by, :what)

      # @param entries [Array<Store::AuditLog::Entry>]
      def initialize(entries)
        @entries = entries
      end

      def any?
        @entries.any?
      end

      # @return [Array<Row>]
      def rows
        @entries.map do |entry|
          what = Formats::Wording.say(RoleGate.words_of(entry.route))
          Row.new(at: entry.at.getlocal.strftime('%-d %B %Y, %H:%M'), by: entry.by, what: what)
        end
      end
    end
  end
end
