# frozen_string_literal: true

module Core
  # The root of every error the core raises. Each kind builds its one sentence and keeps the offending values.
  class Error < StandardError
  end
end
