# frozen_string_literal: true

module Web
  module Routes
    # Where the studio's data lies, its copies, what is wrong with it, and what is kept about people.
    module Keeping
      def self.registered(app)
        app.get('/safe-keeping') { keeping_page }
        app.post('/safe-keeping/names') do
          form = Presenters::RetentionForm.new(params)
          halt 422, keeping_page(form) unless form.valid?

          studio.update(names_months: form.months)
          number = Application::Retention.call(studio, settings.results.now.today)
          classes = "#{count_of(number, 'held class', 'held classes')} no longer #{number == 1 ? 'says' : 'say'} who came."
          tell(number.zero? ? 'Saved.' : "Saved. #{classes}")
          redirect to('/safe-keeping'), 303
        end
        app.helpers Showing
        app.post('/safe-keeping/copies') do
          copy = once { File.basename(Store::Backups.new(File.join(settings.folder, 'studio.sqlite3')).take(:asked)) }
          tell("Copied: #{copy}. Keep a copy on another disk as well.")
          redirect to('/safe-keeping'), 303
        rescue Store::Unusable => e
          tell(e.message, kind: :wrong)
          redirect to('/safe-keeping'), 303
        end
        app.get('/safe-keeping/copies/:name') do
          copy = Store::Backups.new(File.join(settings.folder, 'studio.sqlite3')).all.find { |one| one.name == params['name'] }
          raise Store::NotFound.new(:copy, 0) unless copy

          attachment copy.name
          send_file copy.path, type: 'application/vnd.sqlite3'
        end
      end

      # The page itself.
      module Showing
        # @param form [Presenters::RetentionForm, nil] that was refused
        def keeping_page(form = nil)
          page(:keeping, title: 'Safe keeping', keeping: Presenters::Keeping.new(studio, settings.folder, form&.draft))
        end
      end
    end
  end
end
