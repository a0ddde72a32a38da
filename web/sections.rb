# frozen_string_literal: true

require 'securerandom'

module Web
  # A page made of sections: whole for a browser that comes to it, only what differs for a script that has the rest.
  module Sections
    # Stands in the rest of a page where its sections go. Nobody outside can know it.
    SECTIONS_PLACE = SecureRandom.hex(24).freeze

    # Answers with these sections; a route has nothing to add.
    # @param sections [Array<Fragments::Section>] @return [nil]
    def show_sections(sections, title:, kind:, **locals)
      return answer_with(changed(sections)) if redraw?

      page = erb(:'pages/sections', locals: { title: title, kind: kind, content: SECTIONS_PLACE, keys: nil, **locals })
      answer_with(sections, *page.split(SECTIONS_PLACE, 2))
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

    def answer_with(sections, before = '', after = '')
      text = PageBody.new([before, *sections.flat_map { |section| section.filled(csrf_token) }, after])
      body text
      headers 'Content-Length' => text.bytesize.to_s
      nil
    end

    # Those the browser does not show yet.
    def changed(sections)
      known = request.env['HTTP_X_SECTIONS'].to_s.split(',').to_h { |pair| pair.split('=', 2) }
      sections.reject { |section| known[section.name] == section.digest || (section.name == 'notice' && polled?) }
    end
  end
end
