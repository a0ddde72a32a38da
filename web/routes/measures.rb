# frozen_string_literal: true

module Web
  module Routes
    # Entering a measure that a fit check asked for.
    module Measures
      def self.registered(app)
        app.post('/measures') do
          form = Presenters::MeasureForm.new(studio, params)
          form.valid? ? form.save : flash(form.problem, kind: :wrong)
          flash("#{form.item.name}: entered.") if form.valid?
          redirect to(Settings.back(text(:back))), 303
        end
      end
    end
  end
end
