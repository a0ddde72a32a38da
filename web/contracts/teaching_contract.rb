# frozen_string_literal: true

module Web
  module Contracts
    # What may be chosen for one class about its steps.
    class TeachingContract < Contract
      texts :practice, :shorter, :extra, :extra_text, :extra_minutes, :school

      TEACHING = Core::Setup::TeachingSettings

      rule(:shorter).validate(whole: TEACHING::LEVELS)
      rule(:extra).validate(whole: TEACHING::EXTRA)
      rule(:extra_minutes).validate(whole: TEACHING::EXTRA_MINUTES)
      rule(:extra_text).validate(at_most: 300)
      rule(:school).validate(one_of: TEACHING::SCHOOLS)
    end
  end
end
