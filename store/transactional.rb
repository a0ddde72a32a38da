# frozen_string_literal: true

module Store
  # What every table's keeper has: the database, and the one way to change it.
  module Transactional
    # @param database [Sequel::Database]
    def initialize(database)
      @database = database
    end

    private

    # See Database.write.
    def write(&block)
      Database.write(@database, &block)
    end
  end
end
