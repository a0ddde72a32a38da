# frozen_string_literal: true

module Web
  # A page for an account that may only look: what its forms show stays, as disabled fields; nothing can be sent.
  module LookOnly
    # Forms that every account may send.
    OWN = %w[/sign-out /settings/theme /change-password].freeze
    FORM = %r{<form\b([^>]*\bmethod="post"[^>]*)>(.*?)</form>}m
    LEFT_OUT = /\s(?:class|action|method|enctype|novalidate|data-[a-z-]+)(?:="[^"]*")?/
    TOKEN = /<input type="hidden"[^>]*>/

    module_function

    # @param html [String]
    # @return [String]
    def call(html)
      html.gsub(FORM) do |whole|
        attributes, inside = Regexp.last_match.values_at(1, 2)
        next whole if OWN.include?(attributes[/action="([^"]*)"/, 1])

        %(<fieldset disabled class="look-only-form"#{attributes.gsub(LEFT_OUT, '')}>#{inside.gsub(TOKEN, '')}</fieldset>)
      end
    end
  end
end
