# frozen_string_literal: true

module Application
  # Why a class cannot be built.
  #
  # @param code :design, its project does not go together, :missing, something of it is no longer in the studio, :unexpected, a fault of
  #   this program
  # @param detail in the core's words
  # @param problems [Core::Making::DesignProblem]
  UnplannableClass = Core::Value.define(:code, :detail, problems: [].freeze)

  class UnplannableClass
    # @param error [StandardError] @return [UnplannableClass]
    def self.of(error)
      case error
      when Core::Making::InvalidParameters then new(code: :design, detail: error.message, problems: error.problems)
      when Core::UnknownKey then new(code: :missing, detail: "#{error.kind} #{error.key}")
      else new(code: :unexpected, detail: error.class.name)
      end
    end
  end
end
