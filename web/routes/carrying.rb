# frozen_string_literal: true

module Web
  module Routes
    # A whole studio as one open file, and what another studio's file brings.
    module Carrying
      def self.registered(app)
        app.helpers Showing
        app.get('/safe-keeping/studio.zip') do
          attachment "studio-#{settings.results.now.today.iso8601}.zip"
          content_type 'application/zip'
          Formats::StudioFile.write(Application::StudioArchive.of(studio))
        end
        app.post('/safe-keeping/studio') do
          bytes = uploaded(:file, Formats::StudioFile::LARGEST_BYTES).to_s
          Formats::StudioFile.read(bytes)
          redirect to("/safe-keeping/studio/#{brought_files.keep(bytes)}"), 303
        rescue Formats::BadDocument => e
          tell("That file cannot be used. #{e.errors.first}", kind: :wrong)
          redirect to('/safe-keeping'), 303
        end
        app.get('/safe-keeping/studio/:file') { page(:studio_merge, title: 'From another studio', merge: merge_shown) }
        app.post('/safe-keeping/studio/:file') do
          number = once { studio_merge.call(chosen_groups(:groups), theirs: chosen_groups(:theirs)).to_s }
          tell("#{count_of(number.to_i, 'thing', 'things')} came or changed.")
          redirect to('/safe-keeping'), 303
        rescue Application::StudioMerge::Unplannable => e
          tell(Formats::Wording.say('merge.unplannable', name: e.message), kind: :wrong)
          redirect to("/safe-keeping/studio/#{params['file']}"), 303
        end
      end

      # What these routes share.
      module Showing
        def brought_files
          BroughtFiles.new(File.join(settings.folder, 'brought'))
        end

        def brought_content
          @brought_content ||= Formats::StudioFile.read(brought_files.read(params['file'].to_s))
        end

        def studio_merge
          Application::StudioMerge.new(studio, brought_content)
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
