# frozen_string_literal: true

require 'digest/md5'

module Web
  # Rendered sections of one studio's pages, kept until what they show changes.
  class Fragments
    # A section of a page. digest: of its content, so that a browser need not be sent what it has
    # pieces: its HTML, cut where each form's token goes in, so that nothing large is copied for a request
    Section = Core::Value.define(:name, :digest, :pieces) do
      # @return [Array<String>]
      def chunks(token)
        pieces.flat_map { |piece| [piece, token] }[0...-1]
      end
    end

    MOST = 600

    def initialize
      @kept = Store::PlanCache.new(MOST)
    end

    # @param key [Array, nil] everything the section depends on; nil renders afresh
    # @yieldreturn [String] its HTML
    # @return [Section]
    def section(name, key)
      return build(name, yield) if key.nil?

      @kept.fetch([name, *key]) { build(name, yield) }
    end

    private

    def build(name, html)
      digest = Digest::MD5.hexdigest(html)[0, 12]
      whole = %(<section id="#{name}" data-digest="#{digest}" aria-labelledby="#{name}-heading">#{html}</section>)
      Section.new(name: name, digest: digest, pieces: whole.split(Helpers::TOKEN, -1).each(&:freeze))
    end
  end
end
