# frozen_string_literal: true

module Core
  module Construction
    # Reads steps as someone writes them, one a line: "technique × times: what to do", with a ? in front where the instructor looks first.
    class WorkReader < Reader
      # One step as written. technique: its key
      Written = Value.define(:technique, :repeats, :words, :checkpoint)

      LINE = /\A(?<check>\?)?\s*(?<technique>[^:×]+?)(?:\s*[x×]\s*(?<repeats>\d{1,3}))?\s*:\s*(?<words>\S.*)\z/
      MOST = 40

      # @param text [String] @return [Array<Written>] of what could be read; check #problems
      def read(text)
        lines = text.to_s.lines.map(&:strip).reject(&:empty?)
        report([], :no_work) if lines.empty?
        report([], :too_much_work, limit: MOST) if lines.size > MOST
        lines.first(MOST).each_with_index.filter_map { |line, index| step(line, index + 1) }
      end

      private

      def step(line, number)
        found = LINE.match(line) or return report([], :unreadable_work, number: number, text: line[0, 60])
        technique = technique(found[:technique]) or return report([], :unknown_technique, number: number, text: found[:technique][0, 60])
        Written.new(technique: technique.key, repeats: [(found[:repeats] || 1).to_i, 1].max, words: found[:words],
          checkpoint: !found[:check].nil?)
      end

      # By key or by name, however it is spelt.
      def technique(text)
        wanted = text.strip.downcase
        @table.techniques[wanted.tr(' ', '_')] || @table.techniques.each_value.find { |technique| technique.name.downcase == wanted }
      end
    end
  end
end
