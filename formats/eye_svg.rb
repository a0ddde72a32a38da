# frozen_string_literal: true

module Formats
  # An eye of wire, enlarged: its rounds and its wraps can be counted, its inside is told, and what hangs in it hangs there. The wire is
  # wound from the eye down to the bead; mirrored for a left-hander.
  class EyeSvg
    include SvgText

    PIXELS = 11
    # Bare stem that is shown below a simple eye, in wires.
    STUB = 3.0
    MARGIN = 1.2
    WORDS_MM = 1.5
    LABEL_MM = 12.0
    INK = '#12161f'
    METAL = '#5b6472'

    # @param eye [Core::Making::WireEye] @param title [String] @param hung [Core::Catalogue::Part, nil] what hangs in it
    def initialize(eye, title:, hung: nil, mirrored: false)
      @eye = eye
      @title = title
      @hung = hung
      @mirrored = mirrored
      @thick = eye.thickness.to_mm
      @radius = (eye.inside.to_mm + @thick) / 2
    end

    # @return [String]
    def to_s
      turn = @mirrored ? ' transform="scale(-1 1)"' : ''
      %(<svg viewBox="#{n(-half)} #{n(top)} #{n((half * 2) + LABEL_MM)} #{n(high)}" width="#{n(((half * 2) + LABEL_MM) * PIXELS)}" ) +
        %(height="#{n(high * PIXELS)}" role="img" aria-label="#{h(@title)}" class="end-picture">) +
        %(<g#{turn}>#{[hanging, bead, stem, rounds, wraps].join}</g>#{label}</svg>)
    end

    private

    # The eye stands about the origin, its stem below it.
    def half
      @half ||= [@radius + @thick, hung_mm / 2, (@eye.beside ? @eye.beside.outer.to_mm / 2 : 0)].max + MARGIN
    end

    def top
      -@radius - @thick - (@hung ? hung_mm * 0.75 : 0) - MARGIN
    end

    def foot
      @foot ||= @radius + (@thick / 2) + (@eye.wraps.zero? ? @thick * (@eye.beside ? 0.2 : STUB) : @thick * @eye.wraps)
    end

    def high
      foot + bead_mm + MARGIN - top
    end

    # As much of the bead as shows what it is.
    def bead_mm
      @eye.beside ? [@eye.beside.along.to_mm, drop? ? 10.0 : 4.0].min : @thick * STUB
    end

    def drop?
      @eye.beside&.form == :drop
    end

    def hung_mm
      @hung ? @hung.outer.to_mm.clamp(3.0, 7.0) : 0.0
    end

    # A ring round the wire of the eye: its far half lies behind.
    def hanging
      return '' unless @hung

      thick = [@hung.wire_thickness&.to_mm || 0.9, 0.5].max
      radius = (hung_mm - thick) / 2
      %(<circle cx="0" cy="#{n(-@radius - radius + (thick / 2) + (@thick / 2))}" r="#{n(radius)}" fill="none" stroke="#{METAL}" ) +
        %(stroke-width="#{n(thick)}"/>)
    end

    def bead
      part = @eye.beside or return ''
      wide = part.outer.to_mm
      look = %(fill="#{h(part.colour)}" fill-opacity="0.35" stroke="#{INK}" stroke-width="0.15" clip-path="url(##{clip})")
      %(<clipPath id="#{clip}"><rect x="#{n(-wide)}" y="#{n(foot)}" width="#{n(wide * 2)}" height="#{n(bead_mm)}"/></clipPath>) +
        (drop? ? %(<path d="#{drop_path(wide / 2, part.along.to_mm)}" #{look}/>) : block(part, wide, look))
    end

    def block(part, wide, look)
      %(<rect x="#{n(-wide / 2)}" y="#{n(foot)}" width="#{n(wide)}" height="#{n(part.along.to_mm)}" rx="#{n(bead_round(part))}" #{look}/>)
    end

    # From its tip to both sides, and round below.
    def drop_path(half_wide, long)
      low, neck = foot + long - half_wide, n(foot + (long * 0.35))
      wide = n(half_wide)
      "M0 #{n(foot)}C0 #{neck} #{wide} #{n(low - half_wide)} #{wide} #{n(low)}A#{wide} #{wide} 0 0 1 #{n(-half_wide)} #{n(low)}" \
        "C#{n(-half_wide)} #{n(low - half_wide)} 0 #{neck} 0 #{n(foot)}Z"
    end

    def bead_round(part)
      part.form == :round ? [part.outer.to_mm, part.along.to_mm].min / 2 : 0.4
    end

    # Two pictures of one page share it where they are cut alike.
    def clip
      @clip ||= "eye-#{format('%.2f-%.2f', foot, bead_mm).tr('.', '_')}"
    end

    def stem
      wire("M0 #{n(@radius)}V#{n(foot + (@eye.through ? bead_mm : 0))}")
    end

    # A second round lies beside the first, seen a little from the side.
    def rounds
      (0...@eye.rounds).map { |i| circle(i * @thick * 0.8) }.join + (@eye.wraps.zero? ? end_of_simple : '')
    end

    def circle(aside)
      %(<circle cx="#{n(aside)}" cy="0" r="#{n(@radius)}" fill="none" stroke="#ffffff" stroke-width="#{n(@thick + 0.35)}"/>) +
        %(<circle cx="#{n(aside)}" cy="0" r="#{n(@radius)}" fill="none" stroke="#{INK}" stroke-width="#{n(@thick)}"/>)
    end

    # Where its end meets the stem again.
    def end_of_simple
      %(<path d="M#{n(@thick * 0.55)} #{n(@radius - (@thick * 0.75))}v#{n(@thick * 1.5)}" stroke="#ffffff" stroke-width="0.25"/>)
    end

    # Each turn slants across the stem.
    def wraps
      (0...@eye.wraps).map do |i|
        y = @radius + (@thick / 2) + (@thick * (i + 0.5))
        halo_wire("M#{n(-@thick)} #{n(y - (@thick * 0.2))}L#{n(@thick)} #{n(y + (@thick * 0.2))}")
      end.join
    end

    def wire(path)
      %(<path d="#{path}" fill="none" stroke="#{INK}" stroke-width="#{n(@thick)}" stroke-linecap="round"/>)
    end

    def halo_wire(path)
      %(<path d="#{path}" fill="none" stroke="#ffffff" stroke-width="#{n(@thick * 1.2)}" stroke-linecap="round"/>) +
        %(<path d="#{path}" fill="none" stroke="#{METAL}" stroke-width="#{n(@thick * 0.85)}" stroke-linecap="round"/>)
    end

    def label
      inside = Wording.say('eye_picture.inside', inside: @eye.inside)
      turns = @eye.wraps.zero? ? '' : Wording.say('eye_picture.wraps', count: @eye.wraps)
      [[inside, 0.5], [turns, @radius + (@thick * (@eye.wraps + 1) / 2) + 0.5]].reject { |words, _| words.empty? }.map { |words, y|
        %(<text x="#{n(half + 0.3)}" y="#{n(y)}" font-size="#{WORDS_MM}" fill="#{INK}">#{h(words)}</text>)
      }.join
    end
  end
end
