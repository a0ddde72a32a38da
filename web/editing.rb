# frozen_string_literal: true

module Web
  # How a class is changed from its page: with the sections redrawn for a script, with a redirect without one;
  # a change somebody else made meanwhile is kept and told, or asked about.
  module Editing
    def class_page(id, **options)
      revision, title = studio.classes.stamp(id)
      Presenters::ClassPage.new(studio, settings, id, revision, title, unit: unit, seat: text(:seat), **options) { |name, page| partial(name, page: page) }
    end

    def show_class(id, **options)
      presenter = class_page(id, **options)
      # Somebody else changed the class: what is half typed here stays on what it was typed on.
      halt 204 if polled? && text(:at) != presenter.revision.to_s
      return chunks(changed_sections(presenter)) if redraw?

      head, tail = page(:class, title: presenter.title, page: presenter).split(Helpers::CONTENT)
      [head, *chunks(presenter.sections), tail]
    end

    # @yieldparam state [Store::ClassState] as the editor saw it @yieldreturn [Store::ClassState]
    def change(id, action, &block)
      edited = studio.classes.edit(id, revision, action, take_over: text(:take_over) == '1', &block)
      done(id, merged: edited.merged)
    rescue Store::Conflict => e
      status 409
      conflict = Presenters::Conflict.new(studio.classes.find(id), e, params.except('id', 'authenticity_token', 'take_over'), unit)
      redraw? ? partial(:conflict, conflict: conflict, action: request.path) : page(:conflict, title: 'Changed in two places', conflict: conflict, action: request.path)
    end

    def done(id, merged: [])
      notice = Presenters::Conflict.merged_notice(merged)
      return show_class(id, notice: notice) if redraw?

      tell(notice) if notice
      redirect to("/classes/#{id}#{"?seat=#{text(:seat)}" unless text(:seat).empty?}"), 303
    end

    # Shows the page again with what was typed and what is wrong with it.
    def refuse(id, form, draft)
      status 422
      show_class(id, drafts: { form => draft })
    end

    def step_back(id)
      yield ? done(id) : show_class(id, notice: 'There is nothing more to undo or redo.')
    end

    def chunks(sections)
      token = csrf_token
      sections.flat_map { |section| section.chunks(token) }
    end

    # @return [Hash{String=>String}] the sections the browser shows
    def known_digests
      request.env['HTTP_X_SECTIONS'].to_s.split(',').to_h { |pair| pair.split('=', 2) }
    end

    # @return [Boolean] whether a script only asks how far something is: what was told stays
    def polled?
      request.env['HTTP_X_POLL'] == '1'
    end

    # Those the browser does not show yet.
    def changed_sections(presenter)
      known = known_digests
      presenter.sections.reject { |section| known[section.name] == section.digest || (section.name == 'notice' && polled?) }
    end
  end
end
