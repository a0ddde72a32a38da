# frozen_string_literal: true

module Web
  # Puts a copy in the place of the studio while it is served: the studio is closed between two requests, kept beside the copies, and the
  # copy is opened in its place. Where the copy turns out to be of no use, the studio comes back as it was.
  class Restorer
    # What came of the last time. copy: its name · kept: the name under which the studio was kept, '' where there was none
    # problem: one sentence, or nil
    Done = Core::Value.define(:copy, :kept, :problem, :at)

    # @return [Done, nil]
    attr_reader :last

    # @param backups [Store::Backups] @param swap [AppSwitcher] @param close [#call] closes the studio @param open [#call] @return [#call]
    # the
    #   application on the studio that lies there
    def initialize(backups, swap, close:, open:)
      @backups = backups
      @swap = swap
      @close = close
      @open = open
    end

    # Begins beside the request that asks for it, which is answered first.
    # @param path [String] a copy that was found good @return [Thread]
    def call(path)
      Thread.new do
        @swap.exchange do
          @close.call
          put_back(path)
        end
      end
    end

    private

    def put_back(path)
      kept = @backups.restore(path)
      app = @open.call
      done(path, kept, nil)
      app
    rescue Store::UnusableDatabase, Server::CannotStart, SQLite3::Exception, SystemCallError => e
      @backups.restore(kept) unless kept.to_s.empty?
      done(path, '', e.message)
      @open.call
    end

    def done(path, kept, problem)
      @last = Done.new(copy: File.basename(path), kept: File.basename(kept), problem: problem, at: Time.now)
    end
  end
end
