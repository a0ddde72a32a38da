# frozen_string_literal: true

require 'json'

module Application
  # The command line: plans without a server or a database. Exit status 0, or 2 for input it cannot use.
  class CommandLine
    USAGE = <<~TEXT
      Usage:
        bin/eager-bench plan FILE|-        prints the plan of a class file as JSON
        bin/eager-bench fit OPTIONS        answers whether lines go through a hole, as JSON; for instance
                                           fit --line "0.38 mm" --passes 2 --hole "1.2 mm"
                                           options: --purpose %<purposes>s, --line, --passes, --line2, --passes2, --hole, --outer,
                                           --part KEY
        bin/eager-bench variants FILE [WAY...]  what other ways of working the piece of a class file change, as JSON; WAYs joined by +
                                           make one version
        bin/eager-bench reach OPTIONS      whether what is left of a line reaches, as JSON; for instance
                                           reach --start 600 --left 360 --done 4 --number 10 --held 100
        bin/eager-bench list KIND          prints registered keys, one a line; KIND: %<kinds>s
      Schemas of both documents: docs/formats/
      %<keeping>s
        bin/eager-bench account ...        the accounts of a shared studio; alone it tells how
    TEXT
    LISTS = {
      'constructions' => -> { Core::Construction::Kinds.keys },
      'rules' => -> { Core::Fit::Rules.keys },
      'techniques' => -> { (Core::Construction::Kinds.techniques.map(&:key) + starter_techniques).uniq.sort },
      'levers' => -> { Core::Levers::Kinds.keys }
    }.freeze

    # @return [Array<String>] keys of the library that a new studio begins with
    def self.starter_techniques
      JSON.parse(File.read(File.join(EagerBench::ROOT, 'demo', 'library.json')))['techniques'].map { |technique| technique['key'] }
    end

    # @param more [Hash{String=>Class}] further commands, each a kind of FolderCommands
    def initialize(arguments, input: $stdin, output: $stdout, errors: $stderr, more: {})
      @more = more
      @arguments = arguments
      @input = input
      @output = output
      @errors = errors
    end

    # @return [Integer] exit status
    def run
      case @arguments
      in ['plan', file] then plan(file)
      in ['fit', *options] then fit(options)
      in ['reach', *options] then reach(options)
      in ['variants', file, *ways] then variants(file, ways)
      in [name, *rest] if KeepingCommands::NAMES.include?(name) then of_folder(KeepingCommands).run(name, rest)
      in [name, *rest] if @more.key?(name) then of_folder(@more[name]).run(rest)
      in ['list', kind] if LISTS.key?(kind) then list(kind)
      in ['--help' | '-h' | 'help'] then say(usage)
      else refuse(usage)
      end
    end

    private

    # @param commands [Class]
    def of_folder(commands)
      commands.new(say: method(:say), refuse: method(:refuse), usual: File.join(EagerBench::ROOT, 'data'))
    end

    def plan(file)
      of_class(file) do |content|
        stock = content.free_to_class ? 'what is free to this class' : 'the whole shelf, as if no other class took from it'
        @errors.puts("Stock: #{stock}.")
        print(Formats::PlanDocument.write(Standalone.result(content.inputs, content.market, content.stock)))
      end
    end

    # @param ways [Array<String>]
    def variants(file, ways)
      of_class(file) do |content|
        document = Formats::VariantsDocument.new(content.inputs, content.market, content.stock)
        unknown = document.unknown(ways)
        next refuse("#{unknown.first} is no other way of this piece. These are: #{document.ways.keys.join(', ')}") if unknown.any?

        print(document.to_data(ways))
      end
    end

    # @yieldparam content [Object] of a class file @yieldreturn [Integer] exit status
    def of_class(file)
      yield Formats::ClassDocument.read(text_of(file))
    rescue Formats::BadDocument => e
      refuse(e.message)
    rescue SystemCallError => e
      refuse("#{file}: #{e.message.sub(/ @ .*/, '')}. Give a file that can be read, or - for standard input.")
    end

    def fit(options)
      answer(options, Formats::GaugeQuestion) { |given| Formats::GaugeQuestion.new(given, library) }
    end

    def reach(options)
      answer(options, Formats::ReachQuestion) { |given| Formats::ReachQuestion.new(given, asked: true) }
    end

    # @param kind [Class] of a question @yieldparam given [Hash{String=>String}] @yieldreturn [Object] the question
    def answer(options, kind)
      given = options.each_slice(2).to_h { |name, value| [name.delete_prefix('--'), value] }
      unknown = given.keys - kind::FIELDS.map(&:to_s)
      return refuse("unknown option --#{unknown.first}\n#{usage}") if unknown.any? || options.size.odd?

      question = yield given
      return refuse(question.errors.map { |field, words| "--#{field}: #{words}" }.join("\n")) if question.errors.any?

      print(question.to_data)
    end

    # @param data [Hash]
    def print(data)
      say(JSON.pretty_generate(data))
    end

    # The starter library's parts and lines, to pick from.
    def library
      data = JSON.parse(File.read(File.join(EagerBench::ROOT, 'demo', 'library.json')))
      records = { parts: Core::Data::Records::PART, lines: Core::Data::Records::LINE, tools: Core::Data::Records::TOOL,
        techniques: Core::Data::Records::TECHNIQUE }
      Core::Catalogue::Table.new(**records.to_h { |name, record|
        [name,
         data[name.to_s].map { |d|
           record.read(d)
         }.to_h { |value| [value.key, value] }]
      })
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
      format(USAGE, keeping: KeepingCommands::USAGE.gsub(/^/, '  ').strip, kinds: LISTS.keys.join(', '),
        purposes: Core::Fit::Passage::PURPOSES.keys.join('|'))
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
