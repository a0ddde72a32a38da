# frozen_string_literal: true

require 'json'

module Store
  # Answers that take long to work out, as plain data by the digest of all they were worked out from. What other rules than today's
  # gave is not known any more.
  # It may be emptied at any time: what is missing is worked out again. Writing here is no change of the studio.
  class ResultCache
    # Of a class that is planned, its forecast; of one that was held, what it says.
    MOST = 6000

    # @param rules [String] names the rules that answers come from
    def initialize(database, rules: EagerBench.rules)
      @database = database
      @rules = rules
      @unwritten = {}
      @lock = Mutex.new
    end

    # @return [Object, nil]
    def [](digest)
      name = named(digest)
      text = @lock.synchronize { @unwritten[name] } || @database[:worked_out].where(digest: name).get(:document)
      text && JSON.parse(text)
    end

    # Written a little later, by a separate thread: a request never waits for the database's one writer.
    def put(digest, data)
      @lock.synchronize do
        @unwritten[named(digest)] = JSON.generate(data)
        @writer = Thread.new { write_all } unless @writer&.alive?
      end
    end

    # Waits until all is written.
    def settle
      @lock.synchronize { @writer }&.join
    end

    # @param texts [Array<String>] what someone was called; results that hold one of them go
    def forget(texts)
      settle
      parts = texts.map { |text| JSON.generate(text)[1..-2] }
      @database.transaction(mode: :immediate) do
        parts.each { |part| @database[:worked_out].where(Sequel.lit('instr(document, ?) > 0', part)).delete }
      end
    end

    private

    def named(digest)
      "#{@rules}-#{digest}"
    end

    def write_all
      loop do
        batch = @lock.synchronize { @unwritten.dup }
        break if batch.empty?

        write(batch)
        @lock.synchronize { batch.each { |name, text| @unwritten.delete(name) if @unwritten[name].equal?(text) } }
      end
    rescue Sequel::Error
      # It is only kept to be quick: what could not be written is worked out again.
      @lock.synchronize { @unwritten.clear }
    end

    def write(batch)
      @database.transaction(mode: :immediate) do
        batch.each { |name, text|
          @database[:worked_out].insert_conflict(:replace).insert(digest: name, document: text, made_at: Time.now.utc)
        }
        kept = @database[:worked_out].reverse(:made_at).limit(1, MOST).get(:made_at)
        @database[:worked_out].where { made_at <= kept }.delete if kept
      end
    end
  end
end
