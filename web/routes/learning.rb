# frozen_string_literal: true

module Web
  module Routes
    # What held classes teach, and using it.
    module Learning
      # What was learnt is mostly known when someone uses it; after another change it is worked out again.
      WAIT_SECONDS = 2
      ADDRESS = '/techniques/learnt'

      def self.registered(app)
        app.get(ADDRESS) { show_lessons(fade_form('months' => studio.settings.fade_months.to_s)) }
        app.post(ADDRESS) do
          known = settings.lessons.ask
          known.wait(WAIT_SECONDS)
          next to_lessons('That is still being worked out. Use it again in a moment.') unless known.ended?

          to_lessons(use_lessons)
        end
        app.post("#{ADDRESS}/back") do
          to_lessons(settings.lessons.take_back(text(:about)) ? 'That is what it was before.' : 'There was nothing to take back.')
        end
        app.post("#{ADDRESS}/fix") do
          fixed = text(:fixed) == '1'
          known = settings.lessons.fix(text(:about), fixed)
          next to_lessons('That is not among what classes taught.') unless known

          to_lessons(fixed ? 'That value is fixed now: classes do not change it.' : 'Classes may teach that again.')
        end
        app.post("#{ADDRESS}/fade") do
          form = fade_form(params)
          if form.valid?
            studio.update(fade_months: form.months)
            next to_lessons('Saved.')
          end
          status 422
          show_lessons(form)
        end
        app.helpers Showing
      end

      # What these routes share.
      module Showing
        # @param fade [Presenters::MonthsForm]
        def show_lessons(fade)
          settings.lessons.ask unless polled?
          shown = Presenters::Lessons.new(settings.lessons, studio, unit, fade)
          show_sections([fresh_section('lessons', :lessons, page: shown)], title: 'Learned times', kind: 'wide')
        end

        def fade_form(values)
          Presenters::MonthsForm.new(values, Contracts::MonthsContract.of_fading)
        end

        def to_lessons(words)
          flash(words)
          redirect to(ADDRESS), 303
        end

        # @return [String] what changed
        def use_lessons
          lessons = settings.lessons
          about = text(:all) == '1' ? nil : text(:about)
          row = lessons.rows.values.flatten.find { |one| one.about == about }
          words = row && Presenters::Lessons.new(lessons, studio, unit, nil).told(row)
          number = lessons.use(about)
          return 'Nothing changed.' if number.zero?

          "#{words || "#{count_of(number, 'value')} changed."} Plans follow; “Take back” goes back to what it was before."
        end
      end
    end
  end
end
