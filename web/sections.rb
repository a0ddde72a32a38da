# frozen_string_literal: true

module Web
  # A page made of sections: whole for a browser that comes to it, only what differs for a script that has the rest.
  module Sections
    # @param sections [Array<Fragments::Section>]
    def show_sections(sections, title:, kind:, **locals)
      token = csrf_token
      return changed(sections).map { |section| section.html(token) }.join if redraw?

      content = sections.map { |section| section.html(token) }.join
      erb(:'pages/sections', locals: { title: title, kind: kind, content: content, keys: nil, **locals })
    end

    # @return [Fragments::Section] of a partial that is not kept
    def fresh_section(name, partial = name, **locals)
      Fragments.build(name, in_fragment { partial(partial, **locals) })
    end

    # Forms rendered within the block leave the token's place open.
    def in_fragment
      before = @in_fragment
      @in_fragment = true
      yield
    ensure
      @in_fragment = before
    end

    private

    # Those the browser does not show yet.
    def changed(sections)
      known = request.env['HTTP_X_SECTIONS'].to_s.split(',').to_h { |pair| pair.split('=', 2) }
      sections.reject { |section| known[section.name] == section.digest || (section.name == 'notice' && polled?) }
    end
  end
end
