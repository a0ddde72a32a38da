# frozen_string_literal: true

module Web
  # A page made of sections: whole for a browser that comes to it, only what differs for a script that has the rest.
  module Sections
    # @param sections [Array<Fragments::Section>] @return [PageBody]
    def show_sections(sections, title:, kind:, **locals)
      return PageBody.new(filled(changed(sections))) if redraw?

      begin_with = partial(:sections_begin, kind: kind, keys: nil, **locals)
      within_layout([begin_with, *filled(sections), '</div>'], title)
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

    def filled(sections)
      sections.flat_map { |section| section.filled(csrf_token) }
    end

    # Those the browser does not show yet.
    def changed(sections)
      known = request.env['HTTP_X_SECTIONS'].to_s.split(',').to_h { |pair| pair.split('=', 2) }
      sections.reject { |section| known[section.name] == section.digest || (section.name == 'notice' && polled?) }
    end
  end
end
