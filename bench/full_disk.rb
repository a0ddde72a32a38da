# frozen_string_literal: true

# Every way to write, at every remaining size of the disk, from nothing to twice the studio: afterwards the studio opens, is wholly old or
# wholly new, and what was said is true. Each is tried as it is and without the estimate of the room it needs, so that SQLite itself meets
# the full disk. Uses a small disk in memory, which needs root. Prints a table; exit status 1 when anything failed.
# Run: bundle exec ruby -I. bench/full_disk.rb [steps]
require 'tmpdir'
require_relative 'support'
EagerBench.load(:standins, :web)

# One small disk, and how much room is left on it.
class SmallDisk
  BLOCK = 4096

  attr_reader :path

  def initialize(bytes)
    @path = Dir.mktmpdir
    system('mount', '-t', 'tmpfs', '-o', "size=#{bytes}", 'none', @path) or abort 'Mounting a small disk needs root.'
  end

  # Runs the block while at most so many bytes are free. @param told [Boolean] whether the program can ask how many
  def with_room(bytes, told:)
    free = Store::WholeFile.room(path)
    Store::WholeFile.silent = !told
    filler = File.join(path, 'filler')
    File.binwrite(filler, "\0" * [(free - bytes) / BLOCK * BLOCK, 0].max)
    yield
  ensure
    Store::WholeFile.silent = false
    FileUtils.rm_f(filler)
  end

  def close
    system('umount', '-l', path)
  end
end

# Keeps the program from asking how much room there is.
Store::WholeFile.singleton_class.prepend(Module.new do
  attr_accessor :silent

  def room(path)
    silent ? nil : super
  end
end)

# One way to write. call: (file, studio folder) => what was said; changed: (file) => whether the new state is there
WRITES = {
  'backup' => ->(file) { Store::Backups.new(file).take(:asked) },
  'daily copy' => ->(file) { Store::Backups.new(file).take(:daily) },
  'restore' => ->(file) { Store::Backups.new(file).restore("#{file}.old") },
  'migration' => ->(file) { Store::Studio.new(file).close },
  'import' => ->(file) { open_studio(file) { |studio| studio.import(IMPORTED.inputs, []) } },
  'upload' => ->(file) { Web::KeptFolder.new(File.join(File.dirname(file), 'brought'), most: 5).put('a' * 24, 'x' * 400_000) },
  'edit' => ->(file) { open_studio(file) { |studio| studio.classes.edit(1, studio.classes.find(1).revision,
    'x') { |state| TITLED.(state) } } },
  'export' => ->(file) { open_studio(file) { |studio| Store::WholeFile.write("#{file}.zip",
    Formats::StudioFile.write(Application::StudioArchive.of(studio))) } }
}.freeze
TITLED = ->(state) { state.with(workshop: state.workshop.with(title: 'Changed')) }
IMPORTED = Formats::ClassDocument.read(File.read(File.join(EagerBench::ROOT, 'docs/formats/example-class.json')))

def open_studio(file)
  studio = Store::Studio.new(file)
  yield studio
ensure
  studio&.close
end

# @return [Array] all that tells one state of a studio from another
def state_of(file)
  open_studio(file) { |studio| [studio.classes.all.map { |one| [one.id, one.state.workshop.title] }, studio.projects.newest.size] }
end

def good?(path)
  Store::Backups.check(path).status == :good
end

# @return [Array<String>] what is wrong after one attempt
def faults(file, name, said, before)
  folder = File.dirname(file)
  wrong = []
  wrong << 'unfinished files stay' if Dir[File.join(folder, '**', '*.part*')].any?
  wrong << 'a copy is not whole' unless Store::Backups.new(file).all.all? { |copy| good?(copy.path) }
  version = SQLite3::Database.new(file).then do |database|
    database.get_first_value('SELECT version FROM schema_info').tap { database.close }
  end
  wrong << 'half migrated' unless [5, 20].include?(version)
  after = state_of(file)
  wrong << 'the studio is damaged' unless good?(file)
  wrong << "said #{said}, but nothing changed" if said == :done && after == before && %w[restore import edit].include?(name)
  wrong << "said #{said}, but it changed" if said != :done && after != before
  if said == :done && name == 'export' && Formats::StudioFile.read(File.binread("#{file}.zip")).items[:parts].empty?
    wrong << 'the file is not whole'
  end
  wrong
rescue Store::UnusableDatabase, SQLite3::Exception => e
  ["it does not open: #{e.message}"]
end

steps = (ARGV[0] || 20).to_i

source = File.join(Dir.mktmpdir, 'studio.sqlite3')
Bench.studio(source).tap { |own| own.result_cache.settle }.close
old = File.join(EagerBench::ROOT, 'spec/fixtures/studio-v5.sqlite3')
smaller = File.join(Dir.mktmpdir, 'smaller.sqlite3')
Store::Studio.new(smaller).tap { |studio| Demo::Loading.library(studio) && studio.close }

# @return [(Symbol, Array<String>)] what was said, and the faults found afterwards
def attempt(name, origin, smaller, room, told)
  disk = SmallDisk.new((File.size(origin) * 8) + room)
  file = File.join(disk.path, 'studio.sqlite3')
  FileUtils.cp(origin, file)
  FileUtils.cp(smaller, "#{file}.old") if name == 'restore'
  before = name == 'migration' ? nil : state_of(file)
  said = disk.with_room(room, told: told) do
    WRITES.fetch(name).(file)
    :done
  rescue Store::UnusableDatabase, Store::NotSaved, SystemCallError => e
    e.is_a?(Store::UnusableDatabase) ? e.code : e.class.name[/\w+\z/]
  end
  [said, faults(file, name, said, before || state_of(file))]
ensure
  disk&.close
end

failed = 0
tried = 0
WRITES.each_key do |name|
  origin = name == 'migration' ? old : source
  rooms = [*(0..steps).map { |step| File.size(origin) * 2 * step / steps }, File.size(origin) * 6]
  [true, false].each do |told|
    answers = rooms.map do |room|
      said, wrong = attempt(name, origin, smaller, room, told)
      wrong.each { |words| puts "FAILED #{name} with #{room} bytes free: #{words}" }
      failed += wrong.size
      tried += 1
      said
    end
    runs = answers.chunk_while { |a, b| a == b }.map { |run| "#{run.size} x #{run.first}" }
    puts format('%-11s %-12s %s', name, told ? 'estimated' : 'unestimated', runs.join(', '))
  end
end
puts "#{failed} faults in #{tried} attempts"
exit(failed.zero? ? 0 : 1)
