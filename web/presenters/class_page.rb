# frozen_string_literal: true

module Web
  module Presenters
    # One of the four places of a class's page, with its sections.
    class ClassPage
      # In the order in which an instructor goes through them.
      PLACES = {
        'plan' => %w[bench people piece fit steps clock],
        'kits' => %w[materials cuts cost packing labels],
        'evening' => %w[tools run_sheet prints],
        'afterwards' => %w[afterwards files]
      }.freeze
      HEAD = %w[notice strip].freeze
      # What is left of a class that cannot be built.
      UNBUILDABLE = %w[notice strip problem].freeze

      attr_reader :place

      # @param place [String] key of PLACES @return [String] its address
      def self.path(id, place)
        place == PLACES.keys.first ? "/classes/#{id}" : "/classes/#{id}/#{place}"
      end

      # @param section [String, Symbol] @param from [String, nil] the place that shows the link
      def self.address(id, section, from: nil)
        place, = PLACES.find { |_, sections| sections.include?(section.to_s) }
        "#{path(id, place) unless place == from}##{section}"
      end

      # @param verdict [Core::Advice::Verdict] @return [String] where what it says is put right
      def self.address_of(id, verdict, from: nil)
        verdict.code == :people ? "/classes/#{id}/people/paste" : address(id, verdict.section, from: from)
      end

      # @param result [Application::ClassResult] @param fragments [Fragments]
      # @param drafts [Hash] forms that were refused, with what was typed: {form => Draft}
      # @yieldparam section [String] @yieldparam presenter [Sections::Section] @yieldreturn [String] its HTML
      def initialize(result, fragments, unit:, seat:, place:, notice: nil, drafts: {}, &render)
        @result = result
        @fragments = fragments
        @place = place
        @view = { unit: unit, seat: chosen(seat) }
        @notice = notice
        @drafts = drafts
        @render = render
      end

      def title
        @result.workshop.title
      end

      def revision
        @result.revision
      end

      # @return [Array<Fragments::Section>]
      def sections
        names.map { |name| section(name) }
      end

      # @param name [String] of a section that stands on no place, but is fetched when it is asked for @return [Fragments::Section]
      def alone(name)
        section(name)
      end

      # @param name [String] @return [Sections::Section]
      def presenter(name, reading = Application::TrackedResult.new(@result, @view))
        Sections.const_get(name.split('_').map(&:capitalize).join).new(reading, place: place, notice: @notice, drafts: @drafts)
      end

      private

      def names
        @result.plan ? HEAD + PLACES.fetch(place) : UNBUILDABLE
      end

      # What was refused, or is told once, is not kept.
      def section(name)
        reading = Application::TrackedResult.new(@result, @view)
        return Fragments.build(name, @render.call(name, presenter(name, reading))) if @drafts.any? || (name == 'notice' && @notice)

        @fragments.section(name, [@result.id, place], reading) { @render.call(name, presenter(name, reading)) }
      end

      # @return [String, nil] key of the person whose place is chosen: the first when none or an unknown one is asked for
      def chosen(asked)
        people = @result.state.attendees
        (people.find { |attendee| attendee.key == asked } || people.first)&.key
      end
    end
  end
end
