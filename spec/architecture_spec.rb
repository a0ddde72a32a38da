# frozen_string_literal: true

# Who may know whom: the arrows of docs/architecture.md.
RSpec.describe 'The architecture' do
  forbidden = {
    'core' => Regexp.union(/\b(Sinatra|Sequel|Rack|Puma|Prawn|ERB|JSON|CSV|File|Dir|IO|Store|Formats|Web|Demo|Standins)\b/,
      /Time\.now|Date\.today|\bENV\b|\$std|\brand\b(?!\()|\bputs\b/),
    'formats' => /\b(Sinatra|Sequel|Rack|Store::|Application::|Web::|Demo::)\b/,
    'store' => /\b(Sinatra|Rack|Web::|Formats::|Application::|Demo::)\b/,
    'application' => /\b(Sinatra|Rack|Sequel|Web::|Demo::)\b/,
    'demo' => /\b(Sinatra|Rack|Web::|Sequel)\b/
  }

  forbidden.each do |folder, pattern|
    it "keeps #{folder}/ to what it may know" do
      finds = Dir[File.join(EagerBench::ROOT, folder, '**', '*.rb')].flat_map do |path|
        File.readlines(path).each_with_index.filter_map do |line, index|
          code = line.sub(/(^|\s)#.*/, '')
          "#{path.delete_prefix("#{EagerBench::ROOT}/")}:#{index + 1}: #{code.strip}" if pattern.match?(code)
        end
      end
      expect(finds).to be_empty
    end
  end

  it 'catches each of the things the core must not mention' do
    ['Sinatra::Base', 'Sequel.connect', 'File.read(x)', 'Time.now', 'ENV["X"]'].each { |code| expect(forbidden['core']).to match(code) }
  end

  it 'does no arithmetic in views' do
    sums = Dir[File.join(EagerBench::ROOT, 'web', 'views', '**', '*.erb')].flat_map do |path|
      File.read(path).scan(/<%=?=?(.*?)%>/m).flatten.grep(%r{[\w)\]]\s+[*/]\s+[\w(]|\.(sum|round|ceil|floor)\b}).map { |code|
        "#{File.basename(path)}: #{code.strip}"
      }
    end
    expect(sums).to be_empty
  end

  it 'lets views ask presenters alone' do
    named = Dir[File.join(EagerBench::ROOT, 'web', 'views', '**', '*.erb')].flat_map { |path|
      File.read(path).scan(/\b(?:Core|Formats|Store|Application|Web)::\w+/) }
    expect(named).to be_empty
  end

  it 'loads the core alone, without anything else being there' do
    script = "require 'eager_bench'; EagerBench.load(:core); Zeitwerk::Loader.eager_load_all; " \
             'exit(defined?(Sequel) || defined?(Sinatra) ? 1 : 0)'
    expect(system('ruby', '-I', EagerBench::ROOT, '-e', script)).to be(true)
  end
end
