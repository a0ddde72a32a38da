# frozen_string_literal: true

module Store
  # What a class is at one revision: its own data, which project version it uses, and its people.
  ClassState = Core::Value.define(:workshop, :project_version_id, :attendees)

  class ClassState
    R = Core::Data::Records

    # @return [Hash] plain data, people by their key, so that two states can be merged leaf by leaf
    def to_data
      {
        'class' => R::WORKSHOP.write(workshop),
        'project_version_id' => project_version_id,
        'attendees' => attendees.to_h { |attendee| [attendee.key, R::ATTENDEE.write(attendee)] }
      }
    end

    def self.from_data(data)
      new(workshop: R::WORKSHOP.read(data['class']), project_version_id: data['project_version_id'],
        attendees: data['attendees'].values.map { |a| R::ATTENDEE.read(a) }.sort_by { |a| a.key.to_i })
    end

    def attendee(key)
      attendees.find { |attendee| attendee.key == key } || raise(NotFound.new(:attendee, key))
    end

    # @return [ClassState] with this attendee in the place of the one with the same key
    def replacing(attendee)
      with(attendees: attendees.map { |a| a.key == attendee.key ? attendee : a })
    end

    def without(key)
      with(attendees: attendees.reject { |a| a.key == key })
    end

    def adding(more)
      with(attendees: attendees + more)
    end
  end
end
