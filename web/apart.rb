# frozen_string_literal: true

module Web
  # Work in a process of its own, so that the pages never wait for it. What it reports comes through a pipe.
  module Apart
    module_function

    # Runs the block in a child process; each value it passes to its argument is yielded here as it comes.
    # @param work [Proc] called with something to report with @param begun [Proc] told the child's process number
    # @yieldparam report [Object] anything Marshal can carry
    # @return [Boolean] whether it came to its end
    def run(work, begun: ->(_) {})
      reader, writer = IO.pipe(binmode: true)
      child = fork { child(work, reader, writer) }
      writer.close
      begun.call(child)
      loop { yield Marshal.load(reader) } # rubocop:disable Security/MarshalLoad -- our own child writes it
    rescue EOFError, ArgumentError, TypeError
      # The last of these where a child was stopped in the middle of a report.
      Process.wait2(child).last.success?
    ensure
      reader&.close
      reap(child) if child
    end

    # Gives way to the pages.
    NICENESS = 10

    # Nothing of the parent is left running or closed: no exit handlers, no database.
    def child(work, reader, writer)
      Process.setpriority(Process::PRIO_PROCESS, 0, NICENESS)
      reader.close
      %w[INT TERM].each { |signal| trap(signal, 'DEFAULT') }
      work.call(->(report) { writer.write(Marshal.dump(report)) && writer.flush })
      writer.close
      Process.exit!(true)
    rescue Errno::EPIPE
      Process.exit!(false)
    rescue StandardError => e
      warn e.full_message
      Process.exit!(false)
    end

    # A parent that stopped listening ends the child.
    def reap(child)
      Process.kill(:TERM, child)
      Process.wait(child)
    rescue Errno::ESRCH, Errno::ECHILD
      nil
    end

    # Maps a list on two cores, in order.
    def map(list, &block)
      return list.map(&block) if list.size < 2

      halves = [list.each_slice(2).map(&:first), list.each_slice(2).filter_map { |pair| pair[1] }]
      there = Thread.new do
        outcome = nil
        run(->(report) { report.call(halves.last.map(&block)) }) { |mapped| outcome = mapped }
        outcome
      end
      here = halves.first.map(&block)
      here.zip(there.value).flat_map { |pair| pair }.first(list.size)
    end
    private_class_method :child, :reap
  end
end
