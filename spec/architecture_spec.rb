# frozen_string_literal: true

require_relative 'core_names'

# Who may know whom: the arrows of docs/architecture.md.
RSpec.describe 'The architecture' do
  # Areas of the core, the lowest first: a file names what stands before its own area in this list, never what stands behind it.
  areas = {
    'values' => %w[base measure catalogue people],
    'piece' => %w[making ends construction project sizing fit],
    'class' => %w[setup materials cutting steps planning session sampling levers supply price advice live logbook comparison course data]
  }
  core = File.join(EagerBench::ROOT, 'core')

  it 'keeps the layers and areas of the core in their order, without exception' do
    Zeitwerk::Loader.eager_load_all
    order = areas.values.flatten
    area = ->(file) { file.delete_prefix("#{core}/").split('/')[1] if file.start_with?(core) }
    files = Dir[File.join(core, '**', '*.rb')]
    named = files.flat_map { |file| CoreNames.new(file).call.map { |name, at| [file, name, area.(at)] } }.select(&:last)
    upward = named.select { |file, _, there| order.index(there) > order.index(area.(file)) }
    folders = files.map { |file| file.delete_prefix("#{core}/").split('/').first(2) }.uniq
    expect(folders).to match_array(areas.flat_map { |layer, all| all.map { |one| [layer, one] } })
    expect(named.count { |file, _, there| there != area.(file) }).to be > 900
    expect(upward.map { |file, name, _| "#{file.delete_prefix("#{core}/")} names #{name}" }).to eq([])
  end

  # Types in comments count as well: they are what a reader follows.
  it 'names no type of a higher area in a comment of the core' do
    order = areas.values.flatten
    modules = order.to_h { |one| [one.split('_').map(&:capitalize).join, one] }
    upward = Dir[File.join(core, '**', '*.rb')].flat_map do |file|
      own = order.index(file.delete_prefix("#{core}/").split('/')[1])
      File.read(file).scan(/^\s*#.*?@(?:param|return|yieldparam|yieldreturn)[^\n]*/)
        .flat_map { |line| line.scan(/(?<![\w:])([A-Z]\w+)::[A-Z]/).flatten }
        .filter_map { |name| modules[name] }.select { |there| order.index(there) > own }
        .map { |there| "#{file.delete_prefix("#{core}/")}: #{there}" }
    end
    expect(upward.uniq).to eq([])
  end

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

  it 'keeps every line of a view within 140 characters' do
    long = Dir[File.join(EagerBench::ROOT, 'web', 'views', '**', '*.erb')].flat_map do |path|
      File.readlines(path, chomp: true, encoding: 'UTF-8').each_with_index.filter_map { |line, i|
        "#{File.basename(path)}:#{i + 1}" if line.size > 140
      }
    end
    expect(long).to eq([])
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
