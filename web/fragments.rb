# frozen_string_literal: true

require 'digest'

module Web
  # Rendered sections, kept until what they show changes.
  module Fragments
    # A section of a page. digest: of its content, so that a browser need not be sent what it has
    Section = Core::Value.define(:name, :html, :digest)

    KEPT = Store::PlanCache.new(600)

    module_function

    # @param key [Array, nil] everything the section depends on; nil renders afresh
    # @yieldreturn [String] its HTML
    def section(name, key)
      return build(name, yield) if key.nil?

      KEPT.fetch([name, *key]) { build(name, yield) }
    end

    def build(name, html)
      digest = Digest::MD5.hexdigest(html)[0, 12]
      Section.new(name: name, digest: digest, html: %(<section id="#{name}" data-digest="#{digest}" aria-labelledby="#{name}-heading">#{html}</section>))
    end
    private_class_method :build
  end
end
