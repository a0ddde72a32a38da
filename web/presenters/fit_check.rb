# frozen_string_literal: true

module Web
  module Presenters
    # The fit check: a question, its answer drawn in cross-section, and sizes side by side at true scale.
    class FitCheck
      MOST_SUITED = 8
      SECTIONS = %w[ask answer scale convert].freeze
      # Pixels to the millimetre: what browsers take for granted, and what can be set. In hundredths.
      USUAL_PX = 378
      PX = (200..900).freeze
      WIRES = [18, 20, 22, 24, 26, 28].freeze
      # A bank card is 85.60 × 53.98 mm (ISO/IEC 7810, ID-1).
      CARD = [85.6, 53.98].freeze

      attr_reader :question, :unit

      # @param library [Application::Library]
      def initialize(library, params, unit:)
        @library = library
        @params = params
        @unit = unit
        @question = Formats::GaugeQuestion.new(params, table)
      end

      def table
        @library.table
      end

      # A form's fields and errors.
      def value(name)
        question.values[name.to_s]
      end

      def error(name)
        question.errors[name.to_sym]
      end

      def purposes
        Core::Fit::Passage::PURPOSES.keys
      end

      def px
        PX
      end

      def in_millimetres(length)
        Formats::LengthPrint.fine(length, :mm)
      end

      def in_inches(length)
        Formats::LengthPrint.fine(length, :in)
      end

      def answer
        question.answer
      end

      def parts
        kinds = Core::Fit::Passage::PURPOSES.values.flat_map(&:parts)
        table.parts.values.select { |part| kinds.include?(part.kind) }
      end

      # @return [String] the parts that take these lines, each with what its hole is, and crimps with the pliers that press them
      def suited_words
        return 'none' if answer.parts.empty?

        answer.parts.first(MOST_SUITED).map { |part|
          pliers = Core::Fit::QuickCheck.pliers(part)
          details = [Formats::LengthPrint.fine(part.hole, unit), (Formats::Wording.say("pliers.#{pliers}") if pliers)]
          "#{part.name} (#{details.compact.join(', ')})"
        }.join(' · ')
      end

      # @return [Boolean] whether what is asked is to be pressed
      def pressed?
        question.purpose == :crimp
      end

      def drawing
        Formats::PackingSvg.new(question.lines.sort.reverse, answer.packed, question.hole,
          title: "#{question.lines.size} lines in a hole of #{Formats::LengthPrint.fine(question.hole, unit)}").to_s
      end

      # @return [Integer] hundredths of a pixel to the millimetre
      def pixels
        given = @params['px'].to_s
        given.match?(/\A\d{3}\z/) ? given.to_i.clamp(PX.begin, PX.end) : USUAL_PX
      end

      def true_scale
        sizes = Core::Measure::SeedBeads::SIZES.map { |size| [size.name, size.across.to_mm, :bead] }
        wires = WIRES.map { |gauge| ["#{gauge} AWG", Core::Measure::WireGauge.diameter(gauge, :awg).to_mm, :wire] }
        Formats::SizesSvg.new(sizes + wires, pixels / 100.0, card: CARD).to_s
      end

      # What one size is in the other systems; nil when it does not read.
      Conversion = Core::Value.define(:length, :awg, :swg, :bead)

      def conversion
        length = Core::Measure::ThicknessText.read(convert)
        Conversion.new(length: length, awg: Core::Measure::WireGauge.nearest(length, :awg),
          swg: Core::Measure::WireGauge.nearest(length, :swg),
          bead: Core::Measure::SeedBeads::SIZES.min_by { |size| (size.across - length).abs }.name)
      rescue Core::Measure::ThicknessText::Unreadable => e
        @convert_error = Formats::Wording.say("gauge_errors.#{e.reason}", text: e.text.to_s[0, 40])
        nil
      end

      attr_reader :convert_error

      def convert
        text('convert', '24 AWG')
      end

      def bead
        text('bead', '11/0')
      end

      def beads
        Core::Measure::SeedBeads::SIZES.select(&:per_gram)
      end

      def count
        text('count', '500')
      end

      # @return [String, nil] what so many beads weigh and measure, in words
      def weighed
        size = beads.find { |known| known.name == bead }
        return 'Choose a bead size.' unless size
        return 'Give a whole number of beads up to 100000.' unless count.match?(/\A\d{1,6}\z/)

        strung = size.along * count.to_i
        "#{count} beads of #{bead} weigh about #{format('%.1f',
          Core::Measure::SeedBeads.grams(size, count.to_i))} g and make about #{Formats::LengthPrint.call(strung, unit)} on a line. " \
          "10 g hold about #{Core::Measure::SeedBeads.count(size, 10)}."
      end

      # @return [ReachCheck]
      def reach
        @reach ||= ReachCheck.new(@params, unit)
      end

      private

      def text(name, usual)
        @params[name].is_a?(String) ? @params[name].byteslice(0, 200).scrub.delete("\u0000").strip[0, 40] : usual
      end
    end
  end
end
