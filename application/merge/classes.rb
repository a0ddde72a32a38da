# frozen_string_literal: true

module Application
  module Merge
    # Classes, with their people and what was tapped. One that is here already is never changed from outside.
    class Classes < Kind
      private

      def name
        :classes
      end

      def present
        @studio.classes.all.map(&:state)
      end

      def key(item)
        [item.workshop.title, item.workshop.date, item.workshop.start, item.attendees.map(&:name)]
      end

      def alike?(_mine, _item)
        true
      end

      def save(chosen)
        chosen.each { |record| bring_one(record) }
      end

      # People get keys of their own here; what was tapped follows them.
      def bring_one(record)
        id = @studio.classes.create(Store::ClassState.new(workshop: record.workshop, attendees: record.attendees,
          project_version_id: version_of(record.design)))
        keys = record.attendees.map(&:key).zip(@studio.classes.find(id).state.attendees.map(&:key)).to_h
        @studio.live_events.append_all(id, record.events.map { |event| event.with(person: keys.fetch(event.person, event.person)) })
      end

      # In one file, a project's version is one design.
      def version_of(design)
        (@versions ||= {})[[design.key, design.version]] ||= version_here(design)
      end

      # The version it was planned with comes as a version; what was the newest here stays the newest.
      def version_here(design)
        projects = Projects.new(@studio, @content)
        return projects.bring_one(design).id unless @studio.projects.key?(design.key)

        newest = @studio.projects.find(design.key)
        return newest.id if newest.design.with(version: design.version) == design

        projects.bring_one(design).id.tap { @studio.projects.save(newest.design) }
      end
    end
  end
end
