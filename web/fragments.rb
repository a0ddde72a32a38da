# frozen_string_literal: true

require 'digest/md5'
require 'securerandom'

module Web
  # What was made for one studio's pages, rendered sections above all, kept as long as all that was read for it is as it was.
  class Fragments
    # Stand in a rendered section where a form's token and its one-time key go, until it is cut there. Nobody outside can know them.
    TOKEN_PLACE = SecureRandom.hex(24).freeze
    ONCE_PLACE = SecureRandom.hex(24).freeze
    PLACES = /(#{TOKEN_PLACE}|#{ONCE_PLACE})/
    MOST = 400
    # Readings kept of each section, for those who look at it in different ways.
    READINGS = 4

    # A section of a page. digest: of its content, so that a browser need not be sent what it has
    # pieces: its HTML, cut where each form's token and one-time key go in
    Section = Core::Value.define(:name, :digest, :pieces) do
      # @return [String]
      def html(token)
        filled(token).join
      end

      # @return [Array<String>] its HTML in pieces, with this token in each form and a one-time key in those that add
      def filled(token)
        pieces.map do |piece|
          case piece
          when TOKEN_PLACE then token
          when ONCE_PLACE then SecureRandom.hex(16)
          else piece
          end
        end
      end
    end

    def initialize
      @kept = Core::LruCache.new(MOST)
    end

    # @param key [Array] what it belongs to @param reading [Application::TrackedResult] fresh
    # @return [Object, nil] what was made before, when nothing that was read for it is different
    def known(key, reading)
      _, found = @kept[key]&.find { |notes, _| reading.same?(notes) }
      found
    end

    # @yieldreturn [Object] made from what is read, where it is not known
    def kept(key, reading)
      known(key, reading) || yield.tap { |made| @kept[key] = [[reading.notes.dup.freeze, made], *@kept[key]].first(READINGS) }
    end

    def clear
      @kept.clear
    end

    # @yieldreturn [String] its HTML @return [Section]
    def section(name, key, reading)
      kept([name, *key], reading) { Fragments.build(name, yield) }
    end

    # @return [Section] of HTML that is not kept
    def self.build(name, html)
      pieces = html.split(PLACES, -1).each(&:freeze)
      sum = Digest::MD5.new
      (pieces - [TOKEN_PLACE, ONCE_PLACE]).each { |piece| sum << piece }
      digest = sum.hexdigest[0, 12]
      opening = %(<section id="#{name}" data-digest="#{digest}" aria-labelledby="#{name}-heading">)
      Section.new(name: name, digest: digest, pieces: [opening, *pieces, '</section>'])
    end
  end
end
