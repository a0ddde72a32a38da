# frozen_string_literal: true

require_relative '../studio_helper'
require 'stringio'

RSpec.describe Store::Backups do
  let(:folder) { Dir.mktmpdir }
  let(:file) { File.join(folder, 'studio.sqlite3') }
  let(:studio) { Store::Studio.new(file).tap { |made| Demo::Loading.library(made) && Demo::Loading.classes(made) } }
  let(:backups) { described_class.new(file) }
  let(:noon) { Time.new(2026, 11, 27, 12) }

  def command(*arguments)
    output, errors = StringIO.new, StringIO.new
    status = Application::CommandLine.new([*arguments, '--data', folder], output: output, errors: errors).run
    [status, output.string + errors.string]
  end

  def titles
    Store::Studio.new(file).then { |opened| opened.classes.all.map { |one| one.state.workshop.title }.tap { opened.close } }
  end

  # The database file alone is a few kilobytes until its log is written back: the copy must hold what stands in the log.
  it 'copies a studio while it is written to, whole and with a checksum, readable by its owner alone' do
    ids = studio.classes.all.map(&:id)
    writing = Thread.new { 20.times { |i| studio.classes.edit(1, studio.classes.find(1).revision,
      'session') { |state| state.with(workshop: state.workshop.with(venue: "Room #{i}")) } } }
    path = backups.take(:asked)
    writing.join
    copy = SQLite3::Database.new(path)
    expect(copy.get_first_value('PRAGMA integrity_check')).to eq('ok')
    expect(copy.execute('SELECT id FROM classes').flatten).to match_array(ids)
    expect([described_class.check(path).status, File.stat(path).mode & 0o077, File.read("#{path}.sha256")[/\A\h{64}/]]).to match([:good, 0,
      Digest::SHA256.file(path).hexdigest])
    studio.close
  end

  {
    'cut off' => [->(path) { File.truncate(path, File.size(path) / 2) }, :changed],
    'changed, its checksum gone' => [->(path) { File.binwrite(path, 'x' * 4096, 8192) && File.delete("#{path}.sha256") }, :damaged],
    'no database' => [->(path) { File.write(path, 'hello') && File.delete("#{path}.sha256") }, :damaged],
    'not there' => [->(path) { File.delete(path) }, :no_studio],
    'of a newer version' => [->(path) { SQLite3::Database.new(path).tap { |one|
      one.execute('UPDATE schema_info SET version = 900') }.close && File.delete("#{path}.sha256") }, :newer]
  }.each do |what, (spoil, status)|
    it "refuses to put back a copy that is #{what}, and leaves the studio as it is" do
      studio.close
      path = backups.take(:asked, to: File.join(folder, 'copy.sqlite3'))
      before = File.binread(file)
      spoil.call(path)
      expect([described_class.check(path).status, command('restore', path, '--yes').first,
        File.binread(file) == before]).to eq([status, 2, true])
    end
  end

  it 'puts a copy back only when told to, keeps what was there, and not while the studio is served' do
    studio.classes.all
    path = backups.take(:asked, to: File.join(folder, 'copy.sqlite3'))
    studio.classes.all.each { |klass| studio.classes.remove(klass.id) }
    studio.close
    expect(command('restore', path)).to match([0, /Nothing was changed/])
    expect(titles).to eq([])
    File.open(File.join(folder, 'server.lock'), 'w') do |lock|
      lock.flock(File::LOCK_EX)
      expect(command('restore', path, '--yes')).to match([2, /being served/])
    end
    expect(command('restore', path, '--yes')).to match([0, /kept as .*before_restore/])
    expect(titles.size).to be >= 5
    expect(SQLite3::Database.new(file).get_first_value('PRAGMA integrity_check')).to eq('ok')
    expect(described_class.check(backups.all.first.path).status).to eq(:good)
  end

  it 'takes one a day, keeps the newest of these and all that were asked for' do
    studio.close
    kept = described_class.new(file, keep: 3)
    expect(kept.due?(noon)).to be(true)
    5.times { |day| kept.take(:daily, now: noon + (day * 86_400)) }
    kept.take(:asked, now: noon - 86_400)
    expect(kept.all.map { |copy| [copy.at.day, copy.reason] }).to eq([[1, :daily], [30, :daily], [29, :daily], [26, :asked]])
    expect([kept.due?(noon + (4 * 86_400) + 3600), kept.due?(noon + (6 * 86_400))]).to eq([false, true])
  end

  it 'takes one before an older studio is brought up to date' do
    FileUtils.cp(File.join(EagerBench::ROOT, 'spec', 'fixtures', 'studio-v5.sqlite3'), file)
    Store::Studio.new(file).close
    copy = backups.all.first
    expect([copy.reason, described_class.check(copy.path).version]).to eq([:before_upgrade, 5])
  end

  {
    'nothing is wrong' => [->(s) { s.backups.take(:daily) }, 0, /The database is whole/],
    'there is no copy' => [->(_) {}, 2, /no copy yet/],
    'others may read it' => [->(s) { s.backups.take(:daily) && File.chmod(0o644, s.file) }, 2, /chmod 600/],
    'a copy is damaged' => [->(s) { File.truncate(s.backups.take(:daily), 100) }, 2, /is damaged. Delete it/],
    'the database is damaged' => [->(s) { File.write(s.file, 'hello') }, 2, /is damaged. Put back a copy/]
  }.each do |what, (prepare, status, words)|
    it "says what to do when #{what}" do
      studio.close
      prepare.call(self)
      expect(command('doctor')).to match([status, words])
    end
  end

  it 'names its options where they are not understood' do
    [%w[backup a b], %w[restore], %w[check], %w[doctor x], %w[backup --fast]].each { |arguments| expect(command(*arguments)).to match([2,
      %r{bin/eager-bench backup}]) }
  end
end
