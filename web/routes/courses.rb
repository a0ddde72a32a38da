# frozen_string_literal: true

module Web
  module Routes
    # Courses: several evenings, each of which stands on those before.
    module Courses
      def self.registered(app)
        app.get('/classes/:id/course') do
          course = Presenters::Course.new(result(id), settings.courses, params, unit)
          settings.courses.ask(id, course.order, course.dates) if course.chosen? && !polled?
          show_sections([fresh_section('course', :course, page: course)], title: "A course: #{course.title}", kind: 'wide')
        end
        app.post('/classes/:id/course') do
          course = Presenters::Course.new(result(id), settings.courses, params, unit)
          halt 422, show_sections([fresh_section('course', :course, page: course)], title: 'A course', kind: 'wide') unless course.chosen?

          redirect to(once { settings.courses.make(id, course.order, course.dates) && '/' }), 303
        end
      end
    end
  end
end
