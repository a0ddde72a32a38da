# frozen_string_literal: true

module Web
  module Routes
    # What held classes teach about the times of techniques, and using it.
    module Learning
      # What was learnt is mostly known when somebody uses it; after another change it is worked out anew.
      WAIT_SECONDS = 2

      def self.registered(app)
        app.get('/techniques/learnt') do
          settings.lessons.ask unless polled?
          shown = Presenters::Lessons.new(settings.lessons, unit)
          show_sections([fresh_section('lessons', :lessons, page: shown)], title: 'What classes taught', kind: 'wide')
        end
        app.post('/techniques/learnt') do
          known = settings.lessons.ask
          known.wait(WAIT_SECONDS)
          tell('That is still being worked out. Use it again in a moment.') && redirect(to('/techniques/learnt'), 303) unless known.ended?
          number = use_lessons
          changed = "#{count_of(number, 'value')} changed. Plans follow; “Take back” goes back to what it was before."
          tell(number.zero? ? 'Nothing changed.' : changed)
          redirect to('/techniques/learnt'), 303
        end
        app.post('/techniques/learnt/back') do
          lessons = settings.lessons
          back = text(:kind).empty? ? lessons.take_back(text(:technique)) : lessons.take_back_loss(text(:kind))
          tell(back ? 'That is what it was before.' : 'There was nothing to take back.')
          redirect to('/techniques/learnt'), 303
        end
        app.helpers Using
      end

      # What these routes share.
      module Using
        # @return [Integer] how many values changed
        def use_lessons
          lessons = settings.lessons
          return lessons.use(lessons.rows.map { |row| row.skill.key }) + lessons.use_losses if text(:all) == '1'

          text(:kind).empty? ? lessons.use([text(:technique)]) : lessons.use_losses(text(:kind))
        end
      end
    end
  end
end
