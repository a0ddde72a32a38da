# frozen_string_literal: true

module Web
  module Routes
    # Courses: several evenings, each of which stands on those before.
    module Courses
      # How the page is shown.
      module Page
        def show_course(course)
          show_sections([fresh_section('course', :course, page: course)], title: "A course: #{course.title}", kind: 'wide')
        end
      end

      def self.registered(app)
        app.get('/classes/:id/course') do
          course = Presenters::Course.new(result(id), settings.courses, params, unit)
          course.ask unless polled?
          show_course(course)
        end
        app.post('/classes/:id/course') do
          course = Presenters::Course.new(result(id), settings.courses, params, unit)
          halt 422, show_course(course) unless course.chosen? && (course.taken.empty? || params['same_day'] == '1')

          redirect to(once { settings.courses.make(id, course.order, course.dates) && '/' }), 303
        end
        app.helpers Page
      end
    end
  end
end
