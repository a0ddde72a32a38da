# frozen_string_literal: true

module Formats
  # What goes wrong at the steps of one piece: the step's own faults, then those of its technique that name nothing which the piece lacks.
  # Own faults stand beside the step's words, as one line each in the form of Core::Catalogue::Fault; until when one is cheap can be
  # "fact:NAME", which a later step of the component gives.
  class StepFaults
    # Words that name a part, a line or a knot, with the kinds of which the piece must have one.
    NOUNS = {
      'crimp' => %i[crimp], 'cover' => %i[cover], 'shell' => %i[clamshell], 'guard' => %i[wire_guard], 'clasp' => %i[clasp hook],
      'ring' => %i[ring split_ring], 'bead' => %i[bead finishing], 'cap' => %i[cap cord_end], 'chain' => %i[chain extender],
      'elastic' => %i[elastic], 'cable' => %i[cable], 'thread' => %i[cable thread cord], 'needle' => %i[cable thread cord],
      'wire' => %i[wire memory_wire head_pin eye_pin ear_wire ear_post ring], 'strand' => %i[cable thread cord elastic]
    }.freeze
    FACT = /\Afact:(\w+)\z/

    # @return [Hash{String=>Array<String>}] by the step's wording key
    def self.lines
      @lines ||= Wording.branch('step_faults').transform_keys(&:to_s).freeze
    end

    # @param piece [Core::Sizing::Piece] @param steps [Array<Core::Making::StepUse>] in the order in which they are numbered, empty
    #   where they are not
    def initialize(piece, steps = [])
      kinds = piece.parts.map { |use| use.part.kind } + piece.cuts.map { |cut| cut.line.kind }
      @lacking = NOUNS.reject { |_, any| kinds.intersect?(any) }.keys
      @steps = steps
    end

    # @param technique [Core::Catalogue::Technique, nil] nil for the step's own faults alone
    # @return [Array<Core::Catalogue::Fault>]
    def at(step, technique)
      own(step) + (technique ? technique.faults.reject { |fault| names_what_lacks?(fault) } : [])
    end

    private

    def own(step)
      StepFaults.lines.fetch(step.text.to_s, []).map do |line|
        fault = Core::Catalogue::Fault.read(line)
        fault.with(cheap_until: told(fault.cheap_until, step))
      end
    end

    # @return [String] "before step 8", nothing where steps are not numbered
    def told(later, step)
      fact = later[FACT, 1] or return later

      number = @steps.index { |other| other.component == step.component && other.gives.include?(fact.to_sym) }
      number ? Wording.say('faults.before_step', number: number + 1) : ''
    end

    def names_what_lacks?(fault)
      text = "#{fault.sign} #{fault.repair} #{fault.cheap_until}"
      @lacking.any? { |noun| text.match?(/\b#{noun}s?\b/i) }
    end
  end
end
