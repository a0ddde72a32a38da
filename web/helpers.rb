# frozen_string_literal: true

require 'cgi'
require 'concurrent/map'
require 'securerandom'

module Web
  # What every view and route may use.
  module Helpers
    include Presenters::Printing

    PICTURES = Concurrent::Map.new
    UNCHANGING = Concurrent::Map.new
    # Stands in the layout where a page's own content goes. Nobody outside can know it.
    CONTENT_PLACE = SecureRandom.hex(24).freeze
    # A message must go into the cookie that carries it.
    MOST_TOLD = 600
    LONGEST_TEXT = 1_100_000

    def studio
      settings.studio
    end

    # A page shows one moment, however much it asks for; what changes something sees each of its changes.
    # @return [Application::StudioSnapshot]
    def moment
      request.get? ? (@moment ||= settings.results.now) : settings.results.now
    end

    # @return [Application::ClassResult] of a class as it is now
    def result(id = self.id)
      settings.results.of(id, moment)
    end

    # @return [Application::Library] what all classes share
    def library
      moment.library
    end

    # @return [Boolean] whether a phone asks, which is shown Live alone
    def phone?
      !env[PhoneGate::PHONE].nil?
    end

    # @return [Store::Accounts::Account, nil] who asks; nil where the studio is not shared, and on a phone
    def account
      env[SignedIn::ACCOUNT]
    end

    # @return [Boolean] whether someone asks who was invited to a class, and is shown nothing else
    def guest?
      Guests.asks?(env)
    end

    # A text as a code to be read off with a telephone.
    def code_of(words, title)
      Formats::QrSvg.draw(words, title: title)
    end

    # @return [Boolean] whether this is one of the forms for signing in
    def at_door?
      !env[SignedIn::FORM].nil? && account.nil?
    end

    # @return [Boolean] whether the request has a right, see Rights
    def may?(right)
      account.nil? || Rights.allow?(account.role, right)
    end

    def studio_name
      library.settings.name
    end

    # @return [Symbol] unit lengths are shown in
    def unit
      @unit ||= library.settings.unit
    end

    # @param most [Integer] bytes; one more is read, so that a file that is too long is found out
    # @return [String, nil] the content of a file that was sent; nil where none was
    def uploaded(name, most)
      file = params[name.to_s]
      file['tempfile'].read(most + 1).to_s if file.is_a?(Hash) && file['tempfile'].respond_to?(:read)
    end

    # @return [String] a text parameter, '' when absent or of another kind; never invalid UTF-8
    def text(name)
      value = params[name.to_s]
      value.is_a?(String) ? value[0, LONGEST_TEXT].scrub("\uFFFD").delete("\u0000").strip : ''
    end

    # @return [Integer] the :id of the path @raise [Store::NotFound] when it is no number that a row may have
    def id(kind = 'class')
      raise Store::NotFound.new(kind, params['id']) unless params['id'].match?(/\A\d{1,15}\z/)

      params['id'].to_i
    end

    def revision
      Integer(text(:revision), 10)
    rescue ArgumentError
      0
    end

    def partial(name, **locals)
      erb(:"partials/_#{name}", layout: false, locals: locals.merge(local_assigns: locals))
    end

    # @return [String] of a partial that always shows the same
    def unchanging(name)
      UNCHANGING[name] ||= partial(name)
    end

    # @return [PageBody]
    def page(name, title:, **locals)
      text = erb(:"pages/#{name}", layout: false, locals: locals.merge(title: title))
      within_layout([text], title, own: [text])
    end

    # @param pieces [Array<String>] HTML @param own [Array<String>] those that nothing else keeps @return [PageBody]
    def within_layout(pieces, title, own: [])
      before, after = erb(:layout, layout: false, locals: { title: title }) { CONTENT_PLACE }.split(CONTENT_PLACE, 2)
      PageBody.new([before, *pieces, after], own: own)
    end

    # @return [Boolean] whether a script only asks how far something is: what was told stays
    def polled?
      request.env['HTTP_X_POLL'] == '1'
    end

    # Does what adds something once for each one-time key, however often its form is sent.
    # @yieldreturn [String] where the answer is @return [String] that of the first time
    def once(&block)
      key = text(:once)
      Store::IdempotencyKeys::KEY.match?(key) ? studio.idempotency_keys.once(key, &block) : block.call
    end

    # @return [Boolean] whether a script asked for the changed sections only
    def redraw?
      request.env['HTTP_X_REDRAW'] == '1'
    end

    # Only forms carry the token: it is written where the form is, never put into a finished page.
    def csrf_field
      %(<input type="hidden" name="authenticity_token" value="#{@in_fragment ? Fragments::TOKEN_PLACE : csrf_token}">)
    end

    # For forms that add something: sent twice, they add once.
    def once_field
      %(<input type="hidden" name="once" value="#{@in_fragment ? Fragments::ONCE_PLACE : SecureRandom.hex(16)}">)
    end

    def csrf_token
      @csrf_token ||= Rack::Protection::AuthenticityToken.token(env['rack.session'])
    end

    def h(text)
      CGI.escapeHTML(text.to_s)
    end

    def icon(name)
      Assets.icon(name)
    end

    def asset(path)
      Assets.stamped(path)
    end

    def theme
      %w[light dark].find { |known| known == request.cookies['theme'] }
    end

    # @param status [Symbol] of a verdict or finding
    def mark(status)
      path = Formats::PieceSvg::MARK_PATHS.fetch(status)
      %(<svg class="verdict-mark mark-#{status}" viewBox="-2.6 -2.6 5.2 5.2" aria-hidden="true"><path d="#{path}" fill="none" ) +
        %(stroke="currentColor" stroke-width="0.7" stroke-linecap="round"/></svg>)
    end

    # Level as one to five beads on a short strand.
    def level_beads(level)
      beads = (1..5).map { |i| %(<circle cx="#{(i * 8) - 3}" cy="5" r="3" #{i <= level ? 'fill="currentColor"' : 'fill="none"'} ) +
        %(stroke="currentColor"/>) }.join
      %(<svg class="beads" viewBox="0 0 43 10" role="img" aria-label="level #{level}"><path d="M0 5h43" stroke="currentColor" ) +
        %(stroke-width="0.8"/>#{beads}</svg>)
    end

    # A part's or line's colour with its mark, so that neither stands alone.
    def swatch(item)
      mark = item.respond_to?(:mark) ? item.mark : ''
      %(<svg class="swatch" viewBox="0 0 12 12" aria-hidden="true"><circle cx="6" cy="6" r="5.2" fill="#{h(item.colour)}" ) +
        %(stroke="currentColor" stroke-width="0.6"/></svg><span class="swatch-mark">#{h(mark)}</span>)
    end

    # A part drawn on its own, as it lies on the line.
    # @param scale [Float, nil] pixels to the millimetre; nil makes it fit a chip
    def part_picture(part, scale: nil)
      return draw_part(part, scale) if part.made?

      PICTURES[[part, scale]] ||= draw_part(part, scale)
    end

    def draw_part(part, scale)
      shape = Core::Making::Shape.new(item: part, role: part.kind, x: part.along.to_mm / 2, y: 0.0, along: part.along.to_mm,
        across: part.outer.to_mm, form: part.form)
      Formats::PieceSvg.picture(shape, scale)
    end

    # Two values of a table cell, once where they are the same.
    def before_now(before, now)
      before == now ? h(now) : %(<s class="before"><span class="visually-hidden">before </span>#{h(before)}</s> <b>#{h(now)}</b>)
    end

    # What drawings with light on them refer to, once for each page.
    def light_definitions
      Formats::PieceSvg::Light.definitions
    end

    # A line as thick as it is, on the stockroom's scale.
    def line_picture(line)
      Formats::PieceSvg.stroke(line, 11.3)
    end

    # Keeps a message for the page after a redirect.
    def flash(text, kind: :done, undo: nil)
      env['rack.session']['notice'] =
        { 'text' => text.length > MOST_TOLD ? "#{text[0, MOST_TOLD]}…" : text, 'kind' => kind.to_s, 'undo' => undo }
    end

    def take_notice
      env['rack.session'].delete('notice')
    end
  end
end
