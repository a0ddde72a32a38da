# frozen_string_literal: true

module Web
  module Routes
    # Where the studio's data lies, its copies, what is wrong with it, and what is kept about people.
    module Backups
      def self.registered(app)
        app.get('/safe-keeping') { keeping_page }
        app.post('/safe-keeping/names') do
          form = Presenters::MonthsForm.new(params, Contracts::MonthsContract.of_names)
          halt 422, keeping_page(form) unless form.valid?

          studio.update(names_months: form.months)
          number = Application::Retention.call(studio, moment.today)
          classes = "#{count_of(number, 'held class', 'held classes')} no longer #{number == 1 ? 'says' : 'say'} who came."
          flash(number.zero? ? 'Saved.' : "Saved. #{classes}")
          redirect to('/safe-keeping'), 303
        end
        app.helpers Showing
        copies(app)
        restoring(app)
      end

      def self.copies(app)
        app.post('/safe-keeping/copies') do
          keeping_change do
            copy = once { File.basename(backups.take(:asked)) }
            flash("Copied: #{copy}. Keep a copy on another disk as well.")
          end
        end
        app.post('/safe-keeping/kept') do
          form = Presenters::CopiesForm.new(params)
          halt 422, keeping_page(form) unless form.valid?

          studio.update(copies_kept: form.copies)
          flash('Saved.')
          redirect to('/safe-keeping'), 303
        end
        app.get('/safe-keeping/copies/:name') do
          one = copy
          send_file one.path, type: 'application/vnd.sqlite3', filename: one.name, disposition: :attachment
        end
        app.post('/safe-keeping/copies/file') do
          file = params['file']
          taken = file.is_a?(Hash) && file['tempfile'].respond_to?(:path) ? backups.bring(file['tempfile'].path) : nil
          taken ? flash("It is among the copies now: #{File.basename(taken)}.") : flash('Choose the file of a copy first.', kind: :wrong)
          redirect to('/safe-keeping'), 303
        rescue Store::UnusableDatabase
          flash(Formats::Wording.say('copies.refused'), kind: :wrong)
          redirect to('/safe-keeping'), 303
        end
      end

      def self.restoring(app)
        app.get('/safe-keeping/copies/:name/restore') do
          restore = Presenters::Restore.new(copy, settings.folder)
          page(:restore, title: 'Put a copy back', restore: restore, possible: !settings.restorer.nil?)
        end
        app.post('/safe-keeping/copies/:name/restore') do
          one = copy
          keeping_change do
            settings.phones.close
            settings.restorer&.call(one.path) if Store::Backups.check(one.path).status == :good
          end
        end
      end
      private_class_method :copies, :restoring

      # The page itself.
      module Showing
        def backups
          Store::Backups.new(File.join(settings.folder, 'studio.sqlite3'), keep: studio.settings.copies_kept)
        end

        # @return [Store::Backups::Copy] that the address names @raise [Store::NotFound]
        def copy
          backups.all.find { |one| one.name == params['name'] } || raise(Store::NotFound.new(:copy, 0))
        end

        def keeping_change
          yield
          redirect to('/safe-keeping'), 303
        rescue Store::UnusableDatabase => e
          flash(e.message, kind: :wrong)
          redirect to('/safe-keeping'), 303
        end

        # @param form [Presenters::MonthsForm, Presenters::CopiesForm, nil] that was refused
        def keeping_page(form = nil)
          keeping = Presenters::Keeping.new(studio, settings.folder, form&.draft, settings.restorer&.last)
          page(:keeping, title: 'Safe keeping', keeping: keeping)
        end
      end
    end
  end
end
