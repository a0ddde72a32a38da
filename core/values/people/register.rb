# frozen_string_literal: true

module Core
  module People
    # Everyone who was ever in a class, once: who has the same name is the same person, unless two of one name sat in one class.
    module Register
      # @param class_id of a class they were in
      # @param title see class_id
      # @param date see class_id
      Visit = Value.define(:class_id, :title, :date)
      # @param attendee as they were last
      # @param number 2 and more for the second of one name in a class
      # @param visits the newest first
      Known = Value.define(:attendee, :number, :visits) do
        # @return [String] names them in a list
        def name
          number > 1 ? "#{attendee.name} (#{number})" : attendee.name
        end
      end

      module_function

      # @param classes [Array<(Integer, String, Date, Array<Attendee>)>] id, title, date and people
      # @return [Array<Known>] by name
      def of(classes)
        met = classes.flat_map do |id, title, date, attendees|
          seen = Hash.new(0)
          attendees.map { |attendee| [[name_key(attendee.name), seen[name_key(attendee.name)] += 1], attendee,
            Visit.new(class_id: id, title: title, date: date)] }
        end
        met.group_by(&:first).map { |(_, number), all|
          newest = all.sort_by { |_, _, visit| [visit.date, visit.class_id] }.reverse
          Known.new(attendee: merged(newest.map { |_, attendee, _| attendee }), number: number, visits: newest.map(&:last))
        }.sort_by { |known| [name_key(known.attendee.name), known.number] }
      end

      # As they were last, with what older classes know beside it.
      def merged(attendees)
        latest = attendees.first
        latest.with(measures: attendees.map(&:measures).reverse.reduce({}, :merge),
          experience: attendees.map(&:experience).reverse.reduce({}) { |all, one|
          all.merge(one) { |_, a, b| [a, b].max_by(&:times) }
        })
      end

      # @return [String] equal for names that are one person's, however they are written
      def name_key(name)
        name.unicode_normalize(:nfkc).downcase.split.join(' ')
      end
      private_class_method :merged
    end
  end
end
