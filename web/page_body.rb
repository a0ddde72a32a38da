# frozen_string_literal: true

module Web
  # The text of a long page, as a Rack body: short pieces are put together, long ones sent as they are kept, and what was put together is
  # let go as soon as it is sent. Left to the collector, some sixty long pages make it go through all that is kept, and the next request
  # waits.
  class PageBody
    # Bytes sent at once. A piece as long as a quarter of it is not copied.
    AT_ONCE = 65_536

    # @param pieces [Array<String>] in their order @param own [Array<String>] those that nothing else keeps
    def initialize(pieces, own: [])
      @parts = []
      @own = own.dup
      gathered = nil
      pieces.each do |piece|
        if piece.bytesize >= AT_ONCE / 4
          @parts << piece
          gathered = nil
        else
          gathered = fresh if gathered.nil? || gathered.bytesize + piece.bytesize > AT_ONCE
          gathered << piece
        end
      end
    end

    # @return [Integer]
    def bytesize
      @parts.sum(&:bytesize)
    end

    def each(&block)
      @parts.each(&block)
    end

    # The server calls it when the answer is sent.
    def close
      @own.each(&:clear)
    end

    private

    def fresh
      String.new(capacity: AT_ONCE, encoding: Encoding::UTF_8).tap { |text| [@own, @parts].each { |list| list << text } }
    end
  end
end
