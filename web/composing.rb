# frozen_string_literal: true

module Web
  # How a draft is shown and changed: the sections that differ for a script, a redirect without one.
  module Composing
    def composer(id, place: nil, form: nil, notice: nil)
      Presenters::Composer.new(studio, library, studio.drafts.find(id), coming: moment.coming, unit: unit,
        place: place || text(:at), size: text(:size), form: form, notice: notice, letter: text(:letter)[0, 1],
        way: text(:do))
    end

    def show_draft(id, **options)
      presenter = composer(id, **options)
      sections = Presenters::Composer::SECTIONS.map { |name| fresh_section("compose-#{name}", :"compose_#{name}", page: presenter) }
      show_sections(sections, title: presenter.design.name, kind: 'class-page composer')
    end

    # A change someone else made meanwhile is kept; at the same place it goes before.
    def composed(id, gesture = nil, &block)
      studio.drafts.change(id, seen_state) { |design| block.call(design).sampled_as(design) }
      answer(id, gesture&.place, notice: gesture&.problem)
    rescue Store::Conflict
      status 409 unless redraw?
      show_draft(id,
        notice: 'Someone changed the same place in another window. Their change is shown; do yours again if it is still wanted.')
    end

    def seen_state
      Integer(text(:state), 10, exception: false)
    end

    def moved(id, by)
      studio.drafts.step(id, by)
      answer(id, nil)
    end

    def answer(id, place, notice: nil)
      return show_draft(id, place: place, notice: notice) if redraw?

      flash(notice, kind: :wrong) if notice

      redirect to("/drafts/#{id}?#{Rack::Utils.build_query('at' => (place || text(:at)).to_s[0, 200], 'size' => text(:size)[0, 20])}"), 303
    end

    def refuse_draft(id, form)
      status 422
      show_draft(id, form: form)
    end
  end
end
