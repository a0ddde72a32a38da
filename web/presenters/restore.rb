# frozen_string_literal: true

module Web
  module Presenters
    # What putting a copy back would replace.
    class Restore
      attr_reader :copy

      # @param copy [Store::Backups::Copy] @param folder [String] the studio's
      def initialize(copy, folder)
        @copy = copy
        @file = File.join(folder, 'studio.sqlite3')
      end

      # @return [Boolean] whether the copy is whole and of this version or an older one
      def good?
        checked.status == :good
      end

      # @return [String] what the copy holds, or what is wrong with it
      def held
        Formats::Wording.copy(checked, @copy.name)
      end

      # @return [String] what is there now
      def present
        Formats::Wording.copy(Store::Backups.check(@file), File.basename(@file))
      end

      private

      def checked
        @checked ||= Store::Backups.check(@copy.path)
      end
    end
  end
end
