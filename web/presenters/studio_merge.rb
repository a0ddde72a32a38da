# frozen_string_literal: true

module Web
  module Presenters
    # What another studio's file would bring, to choose from.
    class StudioMerge
      Row = Core::Value.define(:key, :name, :words, :open, :differs)

      attr_reader :file

      # @param merge [Application::StudioMerge] @param content [Formats::StudioFile::Content] @param file [String] where it lies meanwhile
      def initialize(merge, content, file)
        @merge = merge
        @content = content
        @file = file
      end

      # @return [String] the other studio's
      def name
        @content.about['name'].to_s
      end

      # @return [Array<Row>]
      def rows
        @rows ||= @merge.preview.map do |one|
          Row.new(key: one.group.to_s, name: Formats::Wording.say("merge.groups.#{one.group}"), words: Formats::Wording.merge(one),
            open: one.any?, differs: one.differing.positive?)
        end
      end

      def any?
        rows.any?(&:open)
      end
    end
  end
end
