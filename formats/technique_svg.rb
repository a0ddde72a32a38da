# frozen_string_literal: true

require 'cgi'
require 'yaml'

module Formats
  # Techniques in a few small pictures, told by their forms alone: how the line runs through a crimp and back, a knot in three stages, a
  # loop in four; where it can be seen, right beside wrong. Drawn for the right hand, mirrored for the left. The pictures are data:
  # those of a construction's own techniques stand beside it, all others in technique_pictures.yml and right_and_wrong.yml.
  class TechniqueSvg
    WIDE = 40
    HIGH = 28
    GAP = 4
    # Pictures beside each other.
    ROW = 3
    PIXELS = 2.25

    # Told from the attributes, since a sheet of its own is not always there.
    STYLES = { line: 'fill="none" stroke="#12161f" stroke-width="1.1"', thin: 'fill="none" stroke="#12161f" stroke-width="0.6"',
               rim: 'fill="none" stroke="#12161f" stroke-width="1.7"', core: 'fill="none" stroke="#ffffff" stroke-width="0.9"',
               move: 'fill="none" stroke="#a63a06" stroke-width="0.9"',
               jaw: 'fill="none" stroke="#12161f" stroke-width="1.8" stroke-linejoin="round"',
               bead: 'fill="#c9cdd6" stroke="#12161f" stroke-width="0.5"', ring: 'fill="none" stroke="#4f5763" stroke-width="1.4"',
               tube: 'fill="#c9cdd6" fill-opacity="0.85" stroke="#12161f" stroke-width="0.5"',
               right: 'fill="none" stroke="#1c6142" stroke-width="1.2"', wrong: 'fill="none" stroke="#a3182a" stroke-width="1.2"' }.freeze
    PATHS = %i[line thin move jaw].freeze
    SHAPES = {
      bead: ->(at) { circle(at, :bead) },
      ring: ->(at) { circle(at, :ring) },
      tube: ->((x, y, w, h)) { %(<rect x="#{x}" y="#{y}" width="#{w}" height="#{h}" rx="0.8" #{STYLES[:tube]}/>) },
      knot: ->((name, upto)) { KnotCurves.draw(name, upto.to_f) },
      note: ->((x, y, words)) { %(<text x="#{x}" y="#{y}" font-size="4" fill="#12161f">#{CGI.escapeHTML(words.to_s)}</text>) }
    }.freeze
    # Signs in the corner of right and wrong, told apart by their form.
    SIGNS = { right: 'M2 5l1.6 1.8L7 2.4', wrong: 'M2 2l4.6 4.6M6.6 2L2 6.6' }.freeze
    ALIKE = { 'station' => 'flat_crimp', 'double_wrapped_loop' => 'wrapped_loop', 'bead_braid_8' => 'round_braid_8',
              'bead_braid_12' => 'round_braid_8', 'braid_set_up' => 'round_braid_8', 'coil_over_coil' => 'close_coil',
              'stop_knot' => 'overhand_knot', 'twisting' => 'twisting_pairs' }.freeze

    # One picture. kind: :step, :right or :wrong
    Frame = Core::Value.define(:kind, :drawn)

    class << self
      # @param technique [String] its key @return [Boolean]
      def drawn?(technique)
        pictures.key?(known_as(technique))
      end

      # @return [Hash{String=>Array<Frame>}] of each technique that is drawn, in order
      def pictures
        @pictures ||= read('technique_pictures').to_h do |key, frames|
          beside = right_and_wrong.fetch(key, {}).map { |kind, shapes| frame(kind.to_sym, shapes) }
          [key, frames.map { |shapes| frame(:step, shapes) } + beside]
        end.freeze
      end

      # @return [String] the key of the technique whose pictures it shares
      def known_as(technique)
        ALIKE.fetch(technique, technique)
      end

      private

      def right_and_wrong
        @right_and_wrong ||= read('right_and_wrong')
      end

      # @param name [String] of the file, and of what stands beside constructions
      def read(name)
        beside = kinds.filter_map { |data| data[name.delete_prefix('technique_')] }
        beside.reduce(YAML.safe_load_file(File.join(EagerBench::ROOT, 'formats', "#{name}.yml")), :merge)
      end

      def kinds
        folder = File.join(EagerBench::ROOT, 'core', 'piece', 'construction', 'kinds')
        @kinds ||= Dir[File.join(folder, '*.yml')].map { |file| YAML.safe_load_file(file) }
      end

      def frame(kind, shapes)
        Frame.new(kind: kind, drawn: shapes.map { |line| shape(*line.split(' ', 2)) }.join)
      end

      def shape(name, rest)
        return path(rest, name.to_sym) if PATHS.include?(name.to_sym)
        # A second line, told apart from the first.
        return path(rest, :rim) + path(rest, :core) if name == 'second'

        SHAPES.fetch(name.to_sym).call(rest.split)
      end

      def path(drawn, style)
        %(<path d="#{drawn}" #{STYLES.fetch(style)}/>)
      end
    end

    def self.circle((x, y, radius), style)
      %(<circle cx="#{x}" cy="#{y}" r="#{radius}" #{STYLES[style]}/>)
    end

    # @param technique [Core::Catalogue::Technique] @param mirrored [Boolean] for a left-hander
    def initialize(technique, mirrored: false)
      @technique = technique
      @frames = TechniqueSvg.pictures.fetch(TechniqueSvg.known_as(technique.key))
      @mirrored = mirrored
    end

    # @return [Integer] of pictures beside each other
    def number
      steps = @frames.count { |one| one.kind == :step }
      [steps, ROW].min.clamp(@frames.size > steps ? 2 : 1, ROW)
    end

    # @return [String]
    def to_s
      steps, beside = @frames.partition { |one| one.kind == :step }
      rows = [*steps.each_slice(ROW), *([beside] if beside.any?)]
      wide, high = (number * (WIDE + GAP)) - GAP, (rows.size * (HIGH + GAP)) - GAP
      drawn = rows.each_with_index.flat_map { |row, down|
        row.each_with_index.map { |one, along| frame(one, (down * ROW) + along, along * (WIDE + GAP), down * (HIGH + GAP)) }
      }
      %(<svg viewBox="0 0 #{wide} #{high}" class="technique" width="#{(wide * PIXELS).round}" height="#{(high * PIXELS).round}" ) +
        %(role="img" aria-label="#{label}">#{drawn.join}</svg>)
    end

    private

    def label
      steps = @frames.count { |one| one.kind == :step }
      beside = ', right beside wrong' if steps < @frames.size
      "#{CGI.escapeHTML(@technique.name)}, in #{steps} #{steps == 1 ? 'picture' : 'pictures'}#{beside}#{', for the left hand' if @mirrored}"
    end

    # Words and signs are never mirrored.
    def frame(one, index, right, down)
      turn = @mirrored ? "translate(#{right + WIDE} #{down}) scale(-1 1)" : "translate(#{right} #{down})"
      words, drawn = one.drawn.scan(%r{<text.*?</text>}), one.drawn.gsub(%r{<text.*?</text>}, '')
      %(<rect x="#{right}" y="#{down}" width="#{WIDE}" height="#{HIGH}" rx="1.5" fill="#ffffff" stroke="#8a8f98" stroke-width="0.3"/>) +
        %(<g transform="#{turn}">#{drawn}</g><g transform="translate(#{right} #{down})">#{words.map { |text| placed(text) }.join}) +
        %(#{corner(one.kind, index)}</g>)
    end

    def placed(text)
      return text unless @mirrored

      text.sub(/x="([\d.]+)"/) { %(x="#{WIDE - Regexp.last_match(1).to_f}" text-anchor="end") }
    end

    def corner(kind, index)
      return %(<text x="1.5" y="4.5" font-size="3.6" font-weight="700" fill="#12161f">#{index + 1}</text>) if kind == :step

      %(<path d="#{SIGNS.fetch(kind)}" #{STYLES.fetch(kind)}/>)
    end
  end
end
