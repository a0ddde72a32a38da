# frozen_string_literal: true

module Formats
  # One end of lines, enlarged: the beads opened so that the lines in their holes can be counted, the way of the line out, round the loop
  # and back, and where its tail lies at last. Drawn from what the end is made of; mirrored for a left-hander.
  class EndSvg
    include SvgText

    # Lines thinner than this are hard to see on paper, in millimetres of the piece.
    THIN = 0.3
    # Between a hole's two lines, in line widths.
    LANE = 1.5
    MARGIN = 1.5
    PIXELS = 13
    WIDEST = 460
    FEWEST_MM = 8.0
    LOWEST = 5.0
    INK = '#12161f'
    PALE = '#e4e6eb'
    METAL = '#5b6472'

    # @param step [Core::Making::StepUse] @return [Core::Catalogue::Part, nil] what it hangs in its loop
    def self.hung_in(step)
      step.values[:hung].to_a.grep(Core::Catalogue::Part).first
    end

    # @param made [Core::Making::LineEnd] @param title [String] what it shows
    # @param hung [Core::Catalogue::Part, nil] what hangs in the loop
    def initialize(made, title:, hung: nil, mirrored: false)
      @made = made
      @title = title
      @hung = hung
      @mirrored = mirrored
      @thick = [made.line.thickness.to_mm, THIN].max
      @lane = @thick * LANE / 2
      place
    end

    # @return [String]
    def to_s
      scale = [PIXELS, WIDEST / wide].min
      turn = @mirrored ? %( transform="translate(#{n(wide - (2 * MARGIN))} 0) scale(-1 1)") : ''
      %(<svg viewBox="#{n(-MARGIN)} #{n(-half)} #{n(wide)} #{n(half * 2)}" width="#{n(wide * scale)}" height="#{n(half * 2 * scale)}" ) +
        %(role="img" aria-label="#{h(@title)}" class="end-picture"><g#{turn}>#{[tail, row, shut, behind, hanging, in_front].join}</g></svg>)
    end

    private

    # From the beads outward, left to right.
    def place
      edge = 0.0
      @beads = @made.row.reverse.map { |part| [part, edge, edge += part.along.to_mm] }
      @start = edge
      parts = [@made.terminal, *@made.outside]
      @parts = parts.map { |part| [part, edge, edge += part.along.to_mm] }
      @foot = edge
      @tip = edge + eye_mm
    end

    # A loop keeps its true inside; what hangs by an eye of its own shows it.
    def eye_mm
      shell? ? SHELL_EYE : @made.loop_length.to_mm
    end

    SHELL_EYE = 1.8

    def shell?
      @made.school.cover == :clamshell
    end

    def back?
      @made.way == :back
    end

    def wide
      @wide ||= [@tip + (ring_mm * 1.15) + (2 * MARGIN), FEWEST_MM].max
    end

    def half
      @half ||= begin
        parts = [*@made.row, *@parts.map(&:first)].map { |part| part.outer.to_mm }
        ([*parts, ring_mm, eye_mm, LOWEST].max * 0.575) + 1.0
      end
    end

    def ring_mm
      return 0.0 unless @hung
      return @hung.outer.to_mm.clamp(3.0, 8.0) if Core::Catalogue::Part::RINGS.include?(@hung.kind)

      5.0
    end

    def row
      @beads.map { |part, from, to| bead(part, from, to) }.join + lines_in_row
    end

    def bead(part, from, to)
      high = part.outer.to_mm
      round = part.form == :round ? [to - from, high].min / 2 : 0.4
      rect(from, high, to - from, round, %(fill="#{h(part.colour)}" fill-opacity="0.3" stroke="#{INK}" stroke-width="0.15"))
    end

    # One line in the beads that are passed once, two where the tail comes back.
    def lines_in_row
      return stroke("M0 0H#{n(@start - LEAD)}") if shared_from.nil?

      stroke("M0 0H#{n([shared_from - 0.6, 0].max)}L#{n(shared_from)} #{n(-@lane)}H#{n(@start)}") +
        stroke("M#{n(@start)} #{n(@lane)}H#{n(shared_from)}")
    end

    # @return [Float, nil] where the tail leaves the beads; nil where it does not enter them
    def shared_from
      @made.sharing.zero? || !back? ? nil : @beads[-@made.sharing][1]
    end

    def shut
      @parts.map { |part, from, to| part == @made.terminal ? grip(from, to) : bead(part, from, to) }.join + lines_in_parts
    end

    # The crimp itself, in the middle of what hides it.
    def grip(from, to)
      middle = (from + to) / 2
      long = @made.school.crimped ? @made.crimp.along.to_mm : 1.2
      tube = rect(middle - (long / 2), crimp_mm, long, 0.2, %(fill="#{PALE}" stroke="#{INK}" stroke-width="0.2"))
      return tube unless @made.school.cover

      tube + rect(from, @made.cover.outer.to_mm, to - from, (to - from) / 2,
        %(fill="none" stroke="#{METAL}" stroke-width="0.25" stroke-dasharray="0.5 0.35"))
    end

    def crimp_mm
      @made.school.crimped ? [@made.crimp.outer.to_mm, @lane * 2 * (@made.lines + 1)].max : @thick * 4
    end

    # From the middle of the last bead's hole to its own side of the crimp.
    def lines_in_parts
      return lanes.map { |y| stroke("M#{n(@start - LEAD)} 0L#{n(@start)} #{n(y)}H#{n(past_crimp)}") }.join unless back?

      from = shared_from ? "M#{n(@start)} #{n(-@lane)}" : "M#{n(@start - LEAD)} 0L#{n(@start)} #{n(-@lane)}"
      shell? ? stroke("#{from}H#{n(past_crimp)}A#{n(@lane)} #{n(@lane)} 0 0 1 #{n(past_crimp)} #{n(@lane)}H#{n(@start)}")
             : stroke("#{from}H#{n(@foot)}") + stroke("M#{n(@foot)} #{n(@lane)}H#{n(@start)}")
    end

    # @return [Array<Float>] where each line lies across that ends in the crimp
    def lanes
      (0...@made.lines).map { |i| (i - ((@made.lines - 1) / 2.0)) * @lane * 2 }
    end

    # @return [Float] a little beyond what holds the lines, in the middle of its shell
    def past_crimp
      _, from, to = @parts.first
      ((from + to) / 2) + ((@made.school.crimped ? @made.crimp.along.to_mm : @thick * 3) / 2) + 0.4
    end

    LEAD = 0.8

    # The half of the loop that lies under what hangs in it.
    def behind
      return shell_eye if shell? || !back?

      reach = eye_mm
      stroke("M#{n(@foot)} #{n(@lane)}C#{n(@foot + (reach * 0.3))} #{n(reach * 0.75)} #{n(@tip)} #{n(reach * 0.7)} #{n(@tip)} 0") + bow
    end

    def in_front
      return '' if shell? || !back?

      reach = eye_mm
      path = "M#{n(@foot)} #{n(-@lane)}C#{n(@foot + (reach * 0.3))} #{n(-reach * 0.75)} #{n(@tip)} #{n(-reach * 0.7)} #{n(@tip)} 0"
      halo(path) + stroke(path) + arrow(@foot + (reach * 0.45), -reach * 0.52, -20)
    end

    # The guard that the loop lies in.
    def bow
      return '' unless @made.guard

      reach = eye_mm
      %(<path d="M#{n(@foot + 0.2)} #{n(-reach * 0.35)}C#{n(@foot + (reach * 0.4))} #{n(-reach * 0.8)} ) +
        %(#{n(@tip)} #{n(-reach * 0.7)} #{n(@tip)} 0) +
        %(C#{n(@tip)} #{n(reach * 0.7)} #{n(@foot + (reach * 0.4))} #{n(reach * 0.8)} #{n(@foot + 0.2)} #{n(reach * 0.35)}" fill="none" ) +
        %(stroke="#{METAL}" stroke-opacity="0.55" stroke-width="#{n(@thick * 3)}"/>)
    end

    def shell_eye
      %(<circle cx="#{n(@foot + (SHELL_EYE / 2))}" cy="0" r="#{n(SHELL_EYE / 2)}" fill="none" stroke="#{METAL}" stroke-width="0.35"/>)
    end

    # A ring, or the eye of what hangs there.
    def hanging
      return '' unless @hung

      thick = [@hung.wire_thickness&.to_mm || 0.9, 0.5].max
      radius = (ring_mm - thick) / 2
      x = @tip - thick + radius
      %(<circle cx="#{n(x)}" cy="0" r="#{n(radius)}" fill="none" stroke="#ffffff" stroke-width="#{n(thick + 0.5)}"/>) +
        %(<circle cx="#{n(x)}" cy="0" r="#{n(radius)}" fill="none" stroke="#{METAL}" stroke-width="#{n(thick)}"/>)
    end

    # Where it leaves: it is held there until the crimp is pressed, and snipped there.
    def tail
      return '' unless back?

      x = shared_from || @start
      path = "M#{n(x)} #{n(@lane)}L#{n(x - 0.4)} #{n(@lane + 0.2)}L#{n(x - 1.6)} #{n(half - 0.7)}"
      cut = "M#{n(x - 1.2)} #{n(@lane + 0.8)}l1.2 1M#{n(x - 1.2)} #{n(@lane + 1.8)}l1.2 -1"
      stroke(path) + %(<path d="#{cut}" fill="none" stroke="#a63a06" stroke-width="0.3"/>)
    end

    def arrow(x_mm, y_mm, turn)
      %(<path d="M-0.6 -0.5L0.5 0L-0.6 0.5Z" fill="#{INK}" transform="translate(#{n(x_mm)} #{n(y_mm)}) rotate(#{turn})"/>)
    end

    def stroke(path)
      %(<path d="#{path}" fill="none" stroke="#{INK}" stroke-width="#{n(@thick)}" stroke-linejoin="round"/>)
    end

    def halo(path)
      %(<path d="#{path}" fill="none" stroke="#ffffff" stroke-width="#{n(@thick + 0.4)}"/>)
    end

    def rect(from, high, long, round, style)
      %(<rect x="#{n(from)}" y="#{n(-high / 2)}" width="#{n(long)}" height="#{n(high)}" rx="#{n(round)}" #{style}/>)
    end
  end
end
