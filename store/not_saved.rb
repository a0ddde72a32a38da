# frozen_string_literal: true

module Store
  # A change could not be written: the database was busy, full or refused it. Nothing of it stands.
  class NotSaved < StandardError; end
end
