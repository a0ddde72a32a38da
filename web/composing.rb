# frozen_string_literal: true

module Web
  # How a draft is shown and changed: the sections that differ for a script, a redirect without one.
  module Composing
    def composer(id, place: nil, form: nil)
      Presenters::Composer.new(studio, settings.fragments, studio.drafts.find(id), unit: unit, place: place || text(:at), size: text(:size), form: form) do |name, page|
        partial(:"compose_#{name}", page: page)
      end
    end

    def show_draft(id, **options)
      presenter = composer(id, **options)
      return chunks(changed_sections(presenter)) if redraw?

      head, tail = page(:composer, title: presenter.design.name, page: presenter).split(Helpers::CONTENT)
      [head, *chunks(presenter.sections), tail]
    end

    def composed(id, gesture = nil, &block)
      studio.drafts.change(id, &block)
      answer(id, gesture && gesture.place)
    end

    def moved(id, by)
      studio.drafts.step(id, by)
      answer(id, nil)
    end

    def answer(id, place)
      return show_draft(id, place: place) if redraw?

      redirect to("/drafts/#{id}?#{Rack::Utils.build_query('at' => (place || text(:at)).to_s, 'size' => text(:size))}"), 303
    end

    def refuse_draft(id, form)
      status 422
      show_draft(id, form: form)
    end
  end
end
