# frozen_string_literal: true

module Web
  module Presenters
    class Live
      # What is handed out and counted in, and the doors to phones.
      module Room
        # @return [Boolean] whether phones are let in from here
        def phones?
          !@phones.nil?
        end

        # @return [PhoneAccess::Door, nil] through which phones come into this class
        def door
          @phones.door if @phones&.door&.class_id == id
        end

        # @return [Integer]
        def phones_in
          @phones.devices
        end

        # @return [String] an SVG that holds the address and the code
        def door_code
          Formats::QrSvg.draw(door.link, title: "Address and code for a phone: #{door.link}")
        end

        # @return [Integer] kits made up for people who come without having signed up
        def kits_over
          @result.workshop.supply.extra_kits
        end

        # @return [Array<(String, String)>] spares that are held back, by key
        def spares
          @plan.spares.keys.select { |part| @plan.held_back(part).positive? }.map { |part| [part.key, part.name] }
        end

        # @return [Array<String>] spares that were used
        def spares_used
          @evening.people.values.flat_map do |person|
            [*person.spares.map { |key| [key, ''] }, *person.rejects.map { |key| [key, ' (no good)'] }].map do |key, why|
              "#{@plan.table.parts[key]&.name || key}#{why} for #{name(person.key)}"
            end
          end
        end

        # @return [Array<Tool>] blades and needles first, then what is shared
        def tools
          tools = @plan.tools.sort_by { |need| [need.tool.counted ? 0 : 1, need.tool.name] }.map do |need|
            key = need.tool.key
            all = @evening.tools_out.fetch(key, [need.on_hand, need.needed].min)
            Tool.new(key: key, name: need.tool.name, all: all, handed: @evening.tools_out.key?(key),
              back: [@evening.tools_in[key], all].min)
          end
          tools.select { |tool| tool.all.positive? || tool.handed }
        end

        # @return [Array<(String, String)>] key and name of those here who have no kit yet
        def without_kit
          @evening.people.values.select { |person| person.here && !person.kit }.map { |person| [person.key, name(person.key)] }
        end

        # @return [String] how many kits were handed out
        def kits_words
          here = @evening.people.values.select(&:here)
          "#{here.count(&:kit)} of #{here.size} kits"
        end

        # @return [Array<String>] who takes work home
        def going_home
          @evening.people.values.reject(&:done?).select(&:here).map { |person| name(person.key) }
        end
      end
    end
  end
end
