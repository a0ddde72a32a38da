# frozen_string_literal: true

require 'cgi'

module Formats
  # Techniques in a few small pictures, told by their forms alone: how the line runs through a crimp and back, a knot in three stages, a
  # loop in four. Drawn for the right hand, mirrored for the left.
  class TechniqueSvg
    WIDE = 40
    HIGH = 28
    GAP = 4

    BEAD = ->(x, y = 14, r = 4.5) { %(<circle cx="#{x}" cy="#{y}" r="#{r}" class="solid"/>) }
    RING = ->(x, y = 14, r = 4.5) { %(<circle cx="#{x}" cy="#{y}" r="#{r}" class="ring"/>) }
    TUBE = ->(x, y = 10.5, w = 6, h = 7) { %(<rect x="#{x}" y="#{y}" width="#{w}" height="#{h}" rx="0.8" class="tube"/>) }
    LINE = ->(path) { %(<path d="#{path}" class="line"/>) }
    # A second line, told apart from the first.
    HOLLOW = lambda { |path| %(<path d="#{path}" class="rim"/><path d="#{path}" class="core"/>) }
    THIN = ->(path) { %(<path d="#{path}" class="thin"/>) }
    # Where a hand moves something.
    MOVE = ->(path) { %(<path d="#{path}" class="move"/>) }
    JAW = ->(path) { %(<path d="#{path}" class="jaw"/>) }

    CRIMP = [
      LINE.('M1 14H31') + TUBE.(14),
      LINE.('M1 13H22C29 13 29 10 33 10A4 4 0 0 1 33 18C29 18 29 15 22 15H5') + TUBE.(14) + RING.(34, 14, 4),
      LINE.('M1 13H22C29 13 29 10 33 10A4 4 0 0 1 33 18C29 18 29 15 22 15H5') + TUBE.(14, 12, 6, 4) + RING.(34, 14,
        4) + JAW.('M12 6L17 11L22 6M12 22L17 17L22 22')
    ].freeze
    # {technique key => pictures in order}
    DRAWINGS = {
      'flat_crimp' => CRIMP,
      'on_edge_crimp' => [*CRIMP, LINE.('M1 13H39M1 15H39') + TUBE.(16, 12.7, 8, 2.6) + MOVE.('M20 6v4m-2 -2l2 2l2 -2')],
      'rounded_crimp' => [*CRIMP, LINE.('M1 13H39M1 15H39') + TUBE.(16, 11.5, 6, 5) + JAW.('M13 7A8 8 0 0 1 25 7M13 21A8 8 0 0 0 25 21')],
      'folded_crimp' => [*CRIMP.first(2), TUBE.(14, 8, 12, 12) + THIN.('M20 8v12') + BEAD.(17, 14, 1) + BEAD.(23, 14, 1),
                         TUBE.(16, 9, 8, 10) + BEAD.(18.5, 14, 1) + BEAD.(21.5, 14, 1) + JAW.('M8 14h6M32 14h-6')],
      'crimp_cover' => [LINE.('M1 14H39') + TUBE.(18, 12, 4, 4) + THIN.('M13 9A7 7 0 1 0 27 9'),
      LINE.('M1 14H39') + BEAD.(20, 14, 6) + JAW.('M20 3v4M20 25v-4')],
      'clamshell' => [LINE.('M1 14H22') + TUBE.(18, 12, 4, 4) + THIN.('M16 8A7 7 0 0 0 16 20M26 8A7 7 0 0 1 26 20'),
      LINE.('M1 14H14') + BEAD.(20, 14, 6) + RING.(32, 14, 3) + THIN.('M26 14h3')],
      'clamshell_knot' => [LINE.('M1 14H18C24 8 26 20 20 18C16 16 18 10 24 12') + THIN.('M14 7A8 8 0 0 0 14 21'),
      LINE.('M1 14H14') + BEAD.(20, 14, 6) + RING.(32, 14, 3) + THIN.('M26 14h3')],
      'ring' => [RING.(20, 14, 8) + THIN.('M20 4v4') + JAW.('M4 14h7M36 14h-7'),
      RING.(20, 14, 8) + THIN.('M18 4v4M22 6v4') + MOVE.('M26 4c3 1 4 3 4 5') + JAW.('M4 16h7M36 12h-7'),
                 RING.(20, 14, 8) + THIN.('M20 5v2')],
      'split_ring' => [RING.(20, 14, 8) + RING.(20.8, 14, 8) + JAW.('M20 2l-2 5h4z'),
      RING.(20, 14, 8) + RING.(20.8, 14, 8) + RING.(20, 4, 3) + MOVE.('M26 5c4 2 5 6 3 9')],
      'opening_eye' => [RING.(20, 12, 6) + THIN.('M20 18v8') + MOVE.('M27 10l6 -3') + JAW.('M20 6v-5'),
      RING.(20, 12, 6) + THIN.('M20 18v8') + RING.(24, 5, 4)],
      'overhand_knot' => [LINE.('M1 18H16C30 18 30 6 20 6C10 6 12 16 24 20'),
      LINE.('M2 20H14C28 20 30 6 20 6C10 6 11 20 22 14L37 8') + MOVE.('M33 4l5 1m-3 2l3 -2'),
                          LINE.('M1 14H17M23 14H39') + BEAD.(20, 14, 3.2) + BEAD.(28, 14, 5) + MOVE.('M14 8l5 3')],
      'barrel_knot' => [LINE.('M1 20H36M36 20C40 12 30 10 28 14'),
      LINE.('M1 18H39') + THIN.('M12 12l3 12M16 12l3 12M20 12l3 12') + LINE.('M24 12C30 6 36 10 34 18'),
                        LINE.('M1 14H12M28 14H39') + TUBE.(12, 10, 16, 8) + THIN.('M15 10l2 8M19 10l2 8M23 10l2 8')],
      # The left end solid, the right one hollow: the twist on the beads, the loop, the other end through it, and all four pulled.
      'elastic_knot' => [
        BEAD.(5, 23, 4) + BEAD.(35, 23, 4) + HOLLOW.('M31 23C24 22 24 15 16 14C12 13 10 9 9 3') +
          LINE.('M9 23C16 22 16 15 24 14C28 13 30 9 31 3'),
        BEAD.(5, 24, 3.5) + BEAD.(35, 24, 3.5) + HOLLOW.('M31 24C24 23 24 19 18 18C15 17 14 12 14 8') +
          LINE.('M9 24C16 23 16 19 22 18C27 17 30 12 26 9C22 7 21 13 27 14L33 12') + MOVE.('M31 6c2 1 3 3 3 5'),
        BEAD.(5, 24, 3.5) + BEAD.(35, 24, 3.5) + LINE.('M9 24C16 23 16 20 22 19C27 18 30 13 26 10C22 8 21 14 27 15L33 13') +
          HOLLOW.('M31 24C24 23 24 20 18 19C12 18 16 11 24 12C27 12 31 6 28 4C24 3 23 8 25 12L22 17') + MOVE.('M14 10l4 -1m-2 -2l2 2l-1 3'),
        BEAD.(5, 20, 3.5) + BEAD.(35, 20, 3.5) + LINE.('M9 20H17M24 10L31 4') + HOLLOW.('M31 20H23M16 10L9 4') + BEAD.(20, 14, 4.5) +
          MOVE.('M12 24h-7m2 -2l-2 2l2 2M28 24h7m-2 -2l2 2l-2 2M33 8l4 -5m-3 1l3 -1l0 3M7 8l-4 -5m0 3l0 -3l3 1')
      ],
      'surgeons_knot' => [HOLLOW.('M39 22C28 22 26 8 20 14C14 20 12 8 6 6') + LINE.('M1 22C12 22 14 8 20 14C26 20 28 8 34 6'),
      HOLLOW.('M39 22C30 22 28 12 23 13C19 14 20 18 16 17C12 16 12 8 6 5') +
        LINE.('M1 22C10 22 12 12 17 13C21 14 20 18 24 17C28 16 28 8 34 5') + MOVE.('M17 8h6'),
                          LINE.('M1 18H17M24 12L33 5') + HOLLOW.('M39 18H23M16 12L7 5') + BEAD.(20, 16, 3.5) +
                            MOVE.('M8 23h-5m2 -2l-2 2l2 2M32 23h5m-2 -2l2 2l-2 2')],
      'simple_loop' => [LINE.('M20 27V10') + BEAD.(20, 21, 5), LINE.('M20 27V14H34') + BEAD.(20, 21, 5),
      LINE.('M20 27V14H26C32 14 30 4 24 5') + BEAD.(20, 21, 5) + JAW.('M25 9h3'),
                        LINE.('M20 27V15') + RING.(20, 10, 5) + BEAD.(20, 21, 5)],
      'wrapped_loop' => [LINE.('M20 27V13H34') + BEAD.(20, 22, 4.5), RING.(20, 9, 4.5) + LINE.('M20 27V13.5H36') + BEAD.(20, 23, 4),
      RING.(20, 8, 4) + RING.(24, 4, 2.5) + LINE.('M20 27V12H34') + BEAD.(20, 23, 4) + MOVE.('M32 16c-4 3 -10 3 -15 0'),
                         RING.(20, 6, 4.5) + THIN.('M17 12l6 1M17 14l6 1M17 16l6 1') + LINE.('M20 27V10') + BEAD.(20, 22.5, 4.5)],
      'memory_loop' => [LINE.('M2 20C12 8 26 8 36 16'), LINE.('M2 20C12 8 22 8 28 11') + RING.(32, 14, 4)],
      'close_coil' => [LINE.('M2 18H38') + LINE.('M10 8V24') + MOVE.('M14 6c4 0 6 3 5 7'),
      THIN.('M2 18H38') + LINE.('M10 10v14M12.5 10v14M15 10v14M17.5 10v14M20 10v14M22.5 10v8') + MOVE.('M28 12h-4m2 -2l-2 2l2 2')],
      'bead_stopper' => [LINE.('M1 14H39') + BEAD.(8) + BEAD.(17) + THIN.('M26 7v14M28 7v14M30 7v14M26 7l4 14')],
      'twisting_pairs' => [LINE.('M2 10H18C28 10 30 4 34 4M2 18H18C28 18 30 24 34 24') + BEAD.(35, 14, 3.5),
      LINE.('M2 10C10 10 12 18 18 18C24 18 24 10 30 14M2 18C10 18 12 10 18 10C24 10 24 18 30 14') + BEAD.(33, 14, 3.5)],
      'whipping' => [LINE.('M2 10H38M2 18H38') + THIN.('M8 14H28A2 2 0 0 1 28 16H8'),
      LINE.('M2 10H38M2 18H38') + THIN.('M12 7v14M14 7v14M16 7v14M18 7v14M8 14h4M20 14h10'),
                     LINE.('M2 10H38M2 18H38') + THIN.('M12 7v14M14 7v14M16 7v14M18 7v14M20 7v14M22 7v14') +
                       MOVE.('M8 14h-5m2 -2l-2 2l2 2')],
      'round_braid_8' => [RING.(20, 14, 11) + RING.(20, 14, 2.5) + LINE.('M20 3v8M18 3v8M20 25v-8M22 25v-8M9 14h8M31 14h-8') +
        MOVE.('M25 23c6 -4 6 -14 0 -18'),
                          RING.(20, 14, 11) + RING.(20, 14, 2.5) + LINE.('M20 3v8M22 3v8M20 25v-8M18 25v-8M9 14h8M31 14h-8') +
                            MOVE.('M15 5c-6 4 -6 14 0 18'),
                          RING.(20, 14, 11) + RING.(20, 14, 2.5) + MOVE.('M13 5a11 11 0 0 1 14 0l-1 -3m1 3l-3 0')],
      'continuous_loop' => [LINE.('M2 24H20') + BEAD.(24, 22, 1.8) + BEAD.(28, 19, 1.8) + BEAD.(30, 14, 1.8) + BEAD.(28, 9, 1.8) +
        BEAD.(24, 6, 1.8),
                            LINE.('M2 24H20C36 24 34 4 22 5C14 6 16 20 20 24') + BEAD.(29, 19, 1.8) + BEAD.(30, 13, 1.8) +
                              BEAD.(27, 7, 1.8) + BEAD.(21, 6, 1.8),
                            LINE.('M2 24H38') + RING.(20, 12, 9) + MOVE.('M16 24c2 4 6 4 8 0')]
    }.freeze
    ALIKE = { 'station' => 'flat_crimp', 'double_wrapped_loop' => 'wrapped_loop', 'bead_braid_8' => 'round_braid_8',
      'bead_braid_12' => 'round_braid_8', 'braid_set_up' => 'round_braid_8',
      'coil_over_coil' => 'close_coil', 'stop_knot' => 'overhand_knot',
      'twisting' => 'twisting_pairs' }.freeze

    # @param technique [String] its key @return [Boolean]
    def self.drawn?(technique)
      DRAWINGS.key?(ALIKE.fetch(technique, technique))
    end

    # @param technique [Core::Catalogue::Technique] @param mirrored [Boolean] for a left-hander
    def initialize(technique, mirrored: false)
      @technique = technique
      @pictures = DRAWINGS.fetch(ALIKE.fetch(technique.key, technique.key))
      @mirrored = mirrored
    end

    # @return [Integer] of pictures
    def number
      @pictures.size
    end

    # @return [String]
    def to_s
      width = (@pictures.size * (WIDE + GAP)) - GAP
      %(<svg viewBox="0 0 #{width} #{HIGH}" class="technique" width="#{width * 3}" role="img" aria-label="#{label}">) +
        @pictures.each_with_index.map { |picture, i| frame(picture, i) }.join + '</svg>'
    end

    private

    def label
      "#{CGI.escapeHTML(@technique.name)}, in #{@pictures.size} pictures#{', for the left hand' if @mirrored}"
    end

    # Told from the attributes, since a sheet of its own is not always there.
    STYLES = { 'line' => 'fill="none" stroke="#12161f" stroke-width="1.1"', 'thin' => 'fill="none" stroke="#12161f" stroke-width="0.6"',
      'rim' => 'fill="none" stroke="#12161f" stroke-width="1.7"', 'core' => 'fill="none" stroke="#ffffff" stroke-width="0.9"',
      'move' => 'fill="none" stroke="#a63a06" stroke-width="0.9"',
      'jaw' => 'fill="none" stroke="#12161f" stroke-width="1.8" stroke-linejoin="round"',
      'solid' => 'fill="#c9cdd6" stroke="#12161f" stroke-width="0.5"', 'ring' => 'fill="none" stroke="#4f5763" stroke-width="1.4"',
      'tube' => 'fill="#c9cdd6" fill-opacity="0.85" stroke="#12161f" stroke-width="0.5"' }.freeze

    def frame(picture, index)
      x = index * (WIDE + GAP)
      turn = @mirrored ? "translate(#{x + WIDE} 0) scale(-1 1)" : "translate(#{x} 0)"
      drawn = picture.gsub(/class="(\w+)"/) { STYLES.fetch(Regexp.last_match(1)) }
      %(<rect x="#{x}" y="0" width="#{WIDE}" height="#{HIGH}" rx="1.5" fill="#ffffff" stroke="#8a8f98" stroke-width="0.3"/>) +
        %(<g transform="#{turn}">#{drawn}</g>) +
        %(<text x="#{x + 1.5}" y="4.5" font-size="3.6" font-weight="700" fill="#12161f">#{index + 1}</text>)
    end
  end
end
