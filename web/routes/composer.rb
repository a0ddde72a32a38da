# frozen_string_literal: true

module Web
  module Routes
    # Composing a design: each gesture is one change, worked out here and drawn again.
    module Composer
      def self.registered(app)
        app.helpers Composing
        showing(app)
        changing(app)
        ending(app)
      end

      def self.showing(app)
        app.get('/drafts/:id.svg') do
          drawing = composer(id('draft')).export or raise Store::NotFound.new(:drawing, id('draft'))
          content_type 'image/svg+xml'
          attachment "#{studio.drafts.find(id('draft')).design.key}.svg"
          drawing
        end
        app.get('/drafts/:id/charts/:at.csv') do
          place = Core::Project::Edit::Place.parse(params['at'])
          chart = place && studio.drafts.find(id('draft')).design.component(place.component)&.parameters&.fetch(place.parameter, nil)
          raise Store::NotFound.new(:chart, params['at']) unless chart.is_a?(Hash) && chart['rows'].is_a?(Array) && chart['rows'].any?

          content_type 'text/csv'
          attachment "chart-#{place.component}.csv"
          Formats::ChartCsv.write(chart, library.table)
        end
        app.get('/drafts/:id') { show_draft(id('draft')) }
      end

      def self.changing(app)
        app.post('/drafts/:id/back') { moved(id('draft'), -1) }
        app.post('/drafts/:id/forward') { moved(id('draft'), 1) }
        app.post('/drafts/:id/settings') do
          form = Presenters::DesignForm.new(params)
          next refuse_draft(id('draft'), form.draft) unless form.valid?

          composed(id('draft')) { |design| form.apply(design) }
        end
        app.post('/drafts/:id') do
          gesture = Gesture.new(studio, params)
          composed(id('draft'), gesture) { |design| gesture.apply(design) }
        end
      end

      def self.ending(app)
        app.post('/drafts/:id/save') do
          composer = composer(id('draft'))
          next refuse_draft(id('draft'),
            Presenters::Draft.new(values: {},
              errors: { save: 'Correct what is marked below first; then it can be saved.' })) unless composer.buildable?

          saved = studio.projects.save(composer.design)
          studio.drafts.saved_as(id('draft'), saved.id)
          flash("#{saved.design.name} is saved as version #{saved.design.version}. Classes already planned keep theirs.")
          redirect to('/projects'), 303
        end
        app.post('/drafts/:id/discard') do
          studio.drafts.discard(id('draft'))
          redirect to('/projects'), 303
        end
      end
      private_class_method :showing, :changing, :ending
    end
  end
end
