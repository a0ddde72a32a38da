# frozen_string_literal: true

module Application
  # Why a class cannot be built. code: :design, its project does not go together · :missing, something of it is no longer in the studio
  # · :unexpected, a fault of this program · detail: in the core's words · problems: [Core::Making::Problem]
  Problem = Core::Value.define(:code, :detail, problems: [].freeze)

  class Problem
    # @param error [StandardError] @return [Problem]
    def self.of(error)
      case error
      when Core::Making::InvalidParameters then new(code: :design, detail: error.message, problems: error.problems)
      when Core::UnknownKey then new(code: :missing, detail: "#{error.kind} #{error.key}")
      else new(code: :unexpected, detail: error.class.name)
      end
    end
  end
end
