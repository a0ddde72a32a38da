# frozen_string_literal: true

require 'securerandom'

module Web
  module Routes
    # A whole studio as one open file, and what another studio's file brings.
    module StudioExchange
      MOST_BROUGHT = 5
      # The sender of a file waits for the answer.
      READ_SECONDS = 4
      BROUGHT = /\A\h{24}\z/

      def self.registered(app)
        app.helpers Showing
        app.get('/safe-keeping/studio.zip') do
          attachment "studio-#{moment.today.iso8601}.zip"
          content_type 'application/zip'
          Formats::StudioFile.write(Application::StudioArchive.of(studio))
        end
        app.post('/safe-keeping/studio') do
          bytes = uploaded(:file, Formats::StudioFile::LARGEST_BYTES).to_s
          Formats::StudioFile.read(bytes, seconds: READ_SECONDS)
          name = SecureRandom.hex(12)
          brought_files.put(name, bytes)
          redirect to("/safe-keeping/studio/#{name}"), 303
        rescue Formats::BadDocument => e
          flash("That file cannot be used. #{e.errors.first}", kind: :wrong)
          redirect to('/safe-keeping'), 303
        end
        app.get('/safe-keeping/studio/:file') { page(:studio_merge, title: 'From another studio', merge: merge_shown) }
        app.post('/safe-keeping/studio/:file') do
          redirect to(once { merged }), 303
        rescue Application::StudioMerge::Unplannable => e
          flash(Formats::Wording.say('merge.unplannable', name: e.message), kind: :wrong)
          redirect to("/safe-keeping/studio/#{params['file']}"), 303
        end
      end

      # What these routes share.
      module Showing
        # Between the look at what a file would bring and the yes.
        def brought_files
          KeptFolder.new(File.join(settings.folder, 'brought'), most: MOST_BROUGHT)
        end

        def brought_content
          name = params['file'].to_s
          raise Store::NotFound.new(:file, name) unless BROUGHT.match?(name) && brought_files.key?(name)

          @brought_content ||= Formats::StudioFile.read(brought_files.read(name), seconds: StudioExchange::READ_SECONDS * 2)
        end

        def studio_merge
          Application::StudioMerge.new(studio, brought_content)
        end

        # @return [String] where it is told
        def merged
          number = studio_merge.call(chosen_groups(:groups), theirs: chosen_groups(:theirs))
          flash("#{count_of(number, 'thing', 'things')} came or changed.")
          '/safe-keeping'
        end

        def merge_shown
          Presenters::StudioMerge.new(studio_merge, brought_content, params['file'])
        end

        # @return [Array<Symbol>]
        def chosen_groups(name)
          Application::StudioMerge::GROUPS.keys.select { |group| Array(params[name.to_s]).include?(group.to_s) }
        end
      end
    end
  end
end
