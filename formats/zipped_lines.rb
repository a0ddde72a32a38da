# frozen_string_literal: true

require 'zip'

module Formats
  # Lines of the files in a zip, unpacked as a stream: what is packed small can be larger than the memory. All files together have one
  # limit.
  class ZippedLines
    CHUNK_BYTES = 65_536

    # It unpacks to more than is allowed.
    class TooLarge < StandardError; end

    # @param bytes [String] of the zip
    # @param most_bytes [Integer] of all that is unpacked
    # @param longest [Integer] bytes of a line
    def initialize(bytes, most_bytes:, longest:)
      @zip = Zip::File.open_buffer(StringIO.new(bytes))
      @left = most_bytes
      @longest = longest
    end

    # @return [Boolean]
    def key?(name)
      !@zip.find_entry(name).nil?
    end

    # @param name [String] of a file in the zip
    # @return [String, nil] all of it, at most as long as a line may be; nil where it is missing
    def text(name)
      entry = @zip.find_entry(name) or return
      raise TooLarge if entry.size > @longest

      entry.get_input_stream.read.to_s.dup.force_encoding(Encoding::UTF_8)
    end

    # @param name [String] of a file in the zip; one that is missing has no lines
    # @yieldparam line [String] in UTF-8, without its end
    # @raise [TooLarge]
    def each(name)
      entry = @zip.find_entry(name) or return
      raise TooLarge if entry.size > @left

      stream = entry.get_input_stream
      rest = String.new
      while (chunk = stream.read(CHUNK_BYTES)) && !chunk.empty?
        @left -= chunk.bytesize
        rest << chunk
        *lines, rest = rest.split("\n", -1)
        raise TooLarge if @left.negative? || rest.bytesize > @longest

        lines.each { |line| yield line.force_encoding(Encoding::UTF_8) }
      end
      yield rest.force_encoding(Encoding::UTF_8) unless rest.empty?
    end
  end
end
