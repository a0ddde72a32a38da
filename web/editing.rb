# frozen_string_literal: true

module Web
  # How a class is changed from its pages: with the sections redrawn for a script, with a redirect without one;
  # a change someone else made meanwhile is kept and told, or asked about.
  module Editing
    def class_page(id, **options)
      Presenters::ClassPage.new(result(id), settings.fragments, unit: unit, seat: text(:seat), place: place, **options) do |name, section|
        in_fragment { partial(name, page: section) }
      end
    end

    # Which part of the class's work is shown: named in the address, or in the form that was sent from there.
    def place
      named = params['place'].is_a?(String) ? params['place'] : ''
      Presenters::ClassPage::PLACES.key?(named) ? named : Presenters::ClassPage::PLACES.keys.first
    end

    # Showing it asks for nothing; who opens the place where the forecast stands asks for it there.
    def show_class(id, **options)
      page = class_page(id, **options)
      # Someone else changed the class: what is half typed here stays on what it was typed on.
      halt 204 if polled? && text(:at) != page.revision.to_s
      show_sections(page.sections, title: page.title, kind: "class-page place-of-#{page.place}", keys: 'class')
    end

    # @param adds [Boolean] whether sending the form twice would add twice
    # @yieldparam state [Store::ClassState] as the editor saw it @yieldreturn [Store::ClassState]
    def change(id, action, adds: false, &block)
      merged = []
      work = lambda do
        merged = studio.classes.edit(id, revision, action, take_over: text(:take_over) == '1', &block).merged
        class_address(id)
      end
      adds ? once(&work) : work.call
      done(id, merged: merged)
    rescue Store::Conflict => e
      status 409
      conflict = Presenters::Conflict.new(studio.classes.find(id), e, params.except('id', 'authenticity_token', 'take_over'), unit)
      redraw? ? partial(:conflict, conflict: conflict,
        action: request.path) : page(:conflict, title: 'Changed in two windows', conflict: conflict, action: request.path)
    end

    def done(id, merged: [])
      notice = Presenters::Conflict.merged_notice(merged)
      ask_forecast(id)
      return show_class(id, notice: notice) if redraw?

      flash(notice) if notice
      redirect to(class_address(id)), 303
    end

    # Starts the forecast when a class is opened; drawing a page alone never does.
    def ask_forecast(id)
      found = result(id)
      settings.forecasts.ask(id, found.model) if found.plan
    end

    # Who made a class for a group chooses its project next.
    def class_address(id, anchor = nil)
      return "/classes/#{id}/projects" if text(:choose) == '1'

      query = text(:seat).empty? ? '' : "?#{Rack::Utils.build_query('seat' => text(:seat))}"
      "/classes/#{id}#{"/#{place}" unless place == Presenters::ClassPage::PLACES.keys.first}#{query}#{"##{anchor}" if anchor}"
    end

    # Shows the page again with what was typed and what is wrong with it.
    def refuse(id, form, draft)
      status 422
      show_class(id, drafts: { form => draft })
    end

    def step_back(id)
      yield ? done(id) : show_class(id, notice: 'There is nothing to undo or redo.')
    end
  end
end
