# frozen_string_literal: true

module Web
  module Routes
    # What makers measured of their own work, in place of geometry.
    module Swatches
      def self.registered(app)
        app.post('/classes/:id/swatch') do
          form = Presenters::SwatchForm.new(params, built(id))
          next refuse(id, :swatch, form.draft) unless form.valid?
          next change(id, 'swatch') { |state| form.apply(state) } unless form.studio?

          form.empty? ? studio.catalogue.remove_swatch(form.swatch) : studio.catalogue.save_swatch(form.swatch)
          done(id)
        end
      end
    end
  end
end
