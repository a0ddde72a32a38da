# frozen_string_literal: true

module Core
  module Catalogue
    # What goes wrong at a technique, as someone writes it on one line: how it shows | why | how it is put right | until when that is
    # cheap | minutes lost | what is lost. Only the first need be given. Minutes and losses of the shipped ones are from memory.
    Fault = Value.define(:sign, cause: '', repair: '', cheap_until: '', minutes: nil, lost: '') do
      # @return [String] its sign in letters and dashes, the same at every step
      def mark
        sign.downcase.gsub(/[^a-z0-9]+/, '-')[0, Fault::MARK].delete_suffix('-')
      end
    end

    class Fault
      # At the most so many letters of a sign.
      MARK = 48

      # @param line [String] @return [Fault]
      def self.read(line)
        sign, cause, repair, cheap_until, minutes, lost = line.split('|').map(&:strip)
        new(sign: sign.to_s, cause: cause.to_s, repair: repair.to_s, cheap_until: cheap_until.to_s,
          minutes: minutes.to_s.match?(/\A\d{1,3}\z/) ? minutes.to_i : nil, lost: lost.to_s == '0' ? '' : lost.to_s)
      end
    end
  end
end
