# frozen_string_literal: true

module Web
  module Routes
    # Waiting for longer work: how far it is, stopping it, and what came of it.
    module Jobs
      def self.registered(app)
        app.get('/jobs/:job') do
          show_job(settings.jobs.find(params['job']))
        end
        app.post('/jobs/:job/stop') do
          job = settings.jobs.find(params['job'])
          job.stop
          redirect to(job.path), 303
        end
        app.get('/jobs/:job/file') do
          file = settings.jobs.find(params['job']).result
          raise Store::NotFound.new(:file, params['job']) unless file.is_a?(Presenters::PdfPrint::File)

          attachment file.name, :inline
          content_type 'application/pdf'
          file.bytes
        end
        app.helpers Showing
      end

      # The page that waits.
      module Showing
        def show_job(job)
          section = settings.fragments.section('job', nil) { partial(:job, job: job) }
          return chunks([section]) if redraw?

          head, tail = page(:job, title: job.title, job: job).split(Web::Helpers::CONTENT)
          [head, *chunks([section]), tail]
        end
      end
    end
  end
end
