# frozen_string_literal: true

require 'concurrent/map'

module Web
  module Routes
    # Waiting for longer work: how far it is, stopping it, and what came of it.
    module Jobs
      # A file that is being made. name: without its ending · back: where it was asked for · to_printer: whether it goes to the label
      # printer
      Made = Core::Value.define(:name, :back, :to_printer)
      FILES = Concurrent::Map.new
      MOST_FILES = 200

      def self.registered(app)
        app.get('/jobs/:job') { show_job(job) }
        app.post('/jobs/:job/stop') do
          job.stop
          redirect to("/jobs/#{job.id}"), 303
        end
        app.get('/jobs/:job/file') do
          made = FILES[job.id]
          raise Store::NotFound.new(:file, text(:job)) unless made && job.done?

          attachment "#{made.name}.pdf", :inline
          content_type 'application/pdf'
          job.result
        end
        app.helpers Showing
      end

      # The page that waits.
      module Showing
        # @raise [Store::NotFound] for one that never was, or was long ago
        def job
          settings.runner.find(params['job'].to_s) || raise(Store::NotFound.new(:job, text(:job)))
        end

        def keep_file(job, order, back)
          FILES.keys.first(1).each { |old| FILES.delete(old) } while FILES.size >= MOST_FILES
          FILES[job.id] = Made.new(name: order.file_name, back: back, to_printer: order.to_printer?)
        end

        # @param goes_to [String, nil] the page that shows its result
        def show_job(job, goes_to: nil)
          made = FILES[job.id]
          printed = File.basename(settings.label_printer.print(job.result, made.name, job.id)) if made&.to_printer && job.done?
          section = fresh_section('job', :job, job: job, made: made, printed: printed, goes_to: goes_to)
          show_sections([section], title: job.title, kind: 'narrow')
        end
      end
    end
  end
end
