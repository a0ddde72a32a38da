# frozen_string_literal: true

require 'json'

module Formats
  # The command line: plans without a server or a database. Exit status 0, or 2 for input it cannot use.
  class CommandLine
    USAGE = <<~TEXT
      Usage:
        bin/eager-bench plan FILE|-        prints the plan of a class file as JSON
        bin/eager-bench list KIND          prints registered keys, one a line; KIND: %<kinds>s
      Schemas of both documents: docs/formats/
    TEXT
    LISTS = {
      'constructions' => -> { Core::Construction::Registry.keys },
      'rules' => -> { Core::Verdicts::CODES },
      'techniques' => -> { JSON.parse(File.read(File.join(EagerBench::ROOT, 'demo', 'library.json')))['techniques'].map { |t| t['key'] } },
      'levers' => -> { [] }
    }.freeze

    def initialize(arguments, input: $stdin, output: $stdout, errors: $stderr)
      @arguments = arguments
      @input = input
      @output = output
      @errors = errors
    end

    # @return [Integer] exit status
    def run
      case @arguments
      in ['plan', file] then plan(file)
      in ['list', kind] if LISTS.key?(kind) then list(kind)
      in ['--help' | '-h' | 'help'] then say(usage)
      else refuse(usage)
      end
    end

    private

    def plan(file)
      say(JSON.pretty_generate(PlanDocument.write(ClassDocument.read(text_of(file)).plan)))
    rescue BadDocument => e
      refuse(e.message)
    rescue SystemCallError => e
      refuse("#{file}: #{e.message.sub(/ @ .*/, '')}. Give a file that can be read, or - for standard input.")
    end

    def list(kind)
      keys = LISTS.fetch(kind).call
      keys.each { |key| say(key.to_s) }
      0
    end

    def text_of(file)
      file == '-' ? @input.read : File.binread(file)
    end

    def usage
      format(USAGE, kinds: LISTS.keys.join(', '))
    end

    def say(text)
      @output.puts(text)
      0
    end

    def refuse(text)
      @errors.puts(text)
      2
    end
  end
end
