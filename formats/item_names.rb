# frozen_string_literal: true

module Formats
  # Parts, lines and cuts as sentences name them: from the bag by number, on the piece as "the".
  module ItemNames
    # Names that begin with the sound of a vowel: 8, 11, 18 and 80 to 89, and letters.
    VOWEL = /\A(8|11(?!\d)|18(?!\d)|[aeio])/i

    module_function

    # @param item [Core::Catalogue::Part, Core::Catalogue::Line] @return [String] such as "5 mm opening ring"
    def name(item)
      short = item.short_name
      short.match?(/\A[[:upper:]][[:lower:]]/) ? short[0].downcase + short[1..] : short
    end

    # @param beside [Core::Catalogue::Part, nil] what they are told beside: one like it is the other
    # @return [String] "the 12 mm spring clasp and both 6 mm soldered rings"
    def on_piece(items, beside: nil)
      sentence(items.tally.map do |item, count|
        next "the other #{name(item)}" if item == beside

        { 1 => 'the ', 2 => 'both ' }.fetch(count, "the #{count} ") + plural(name(item), count)
      end)
    end

    # @return [String] "an 8 mm round and 2 × 2 mm disc spacer", in the order of the line
    def from_bag(items)
      sentence(items.chunk_while { |a, b| a == b }.map { |alike| alike.size == 1 ? article(name(alike.first)) : times(alike) })
    end

    # @param cuts [Array<Core::Making::Cut>] @yield [Core::Measure::Length] as it is printed
    def cuts(cuts)
      sentence(cuts.map { |cut| "#{"#{cut.count} × " if cut.count > 1}#{yield cut.measured} of #{name(cut.line)}" })
    end

    # @param beads [Array<Core::Catalogue::Part>] of one line, from the first end
    # @return [String] "In order: s; F s, 7 times; M; then back the same way.", by the letters of the bag list where they tell them apart
    def order(beads)
      marks = beads.uniq.to_h { |bead| [bead, bead.mark] }
      clear = marks.values.uniq.size == marks.size
      say_bead = clear ? marks : marks.to_h { |bead, _| [bead, name(bead)] }
      told = Core::Making::BeadOrder.of(beads)
      groups = told.groups.map do |group, times|
        Wording.say("bead_order.#{group.size == 1 ? 'alike' : 'group'}", count: times,
          beads: say_bead.values_at(*group).join(clear ? ' ' : ' + '))
      end
      ending = (told.middle ? 'middle' : 'back') if told.mirrored
      groups << Wording.say("bead_order.#{ending}", middle: say_bead[told.middle]) if ending
      Wording.say('bead_order.line', groups: groups.join('; '))
    end

    def article(name)
      "#{VOWEL.match?(name) ? 'an' : 'a'} #{name}"
    end

    def times(alike)
      "#{alike.size} × #{name(alike.first)}"
    end

    def plural(name, count)
      return name if count == 1

      name.match?(/(s|x|z|ch|sh)\z/) ? "#{name}es" : "#{name}s"
    end

    def sentence(words)
      *before, last = words
      before.empty? ? last.to_s : "#{before.join(', ')} and #{last}"
    end
    private_class_method :article, :times, :plural, :sentence
  end
end
