# frozen_string_literal: true

module Core
  # A part of a value that is worked out when someone first looks at it, once, and never changes: drawings, mostly,
  # since a plan is asked for its numbers far more often than for its pictures. Safe for several threads.
  class Lazy
    def initialize(&work)
      @work = work
      @lock = Mutex.new
    end

    def value
      return @value if @known

      @lock.synchronize do
        unless @known
          @value = @work.call
          @known = true
          @work = nil
        end
      end
      @value
    end

    # What is carried to another process is worked out first.
    def marshal_dump
      value
    end

    def marshal_load(value)
      @lock = Mutex.new
      @value = value
      @known = true
    end

    def ==(other)
      other.is_a?(Lazy) && (equal?(other) || value == other.value)
    end
    alias eql? ==

    def hash
      Lazy.hash
    end

    NOTHING = new { [].freeze }
  end
end
