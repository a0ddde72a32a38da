# frozen_string_literal: true

require 'open3'
require_relative '../studio_helper'

# Every command line that the pages of documents name, as a process of its own.
RSpec.describe 'bin/eager-bench' do
  let(:folder) { Dir.mktmpdir }
  let(:copy) { File.join(folder, 'copy.sqlite3') }
  let(:zip) { File.join(folder, 'all.zip') }

  def run(*arguments)
    Open3.capture2e(File.join(EagerBench::ROOT, 'bin', 'eager-bench'), *arguments, chdir: EagerBench::ROOT)
  end

  it 'does what README and docs say' do
    new_studio(path: File.join(folder, 'studio.sqlite3')).close
    data = ['--data', folder]
    at = ['--at', 'https://studio.example']
    [
      [%w[plan docs/formats/example-class.json], 0, /"format": "eager-bench.plan"/],
      [['variants', 'docs/formats/example-class.json', 'set_way~front~school~folded'], 0, /"gone_techniques"/],
      [%w[variants docs/formats/example-class.json luck], 2, /luck is no other way of this piece/],
      [%w[reach --start 600 --left 360 --done 4 --number 10 --held 100], 0, /"status": "will_not".*"more": 4/m],
      [%w[reach --start long], 2, /--start: Give a length/],
      [['fit', '--line', '0.38 mm', '--passes', '2', '--hole', '1.2 mm'], 0, /"status"/],
      *%w[constructions rules techniques levers].map { |kind| [['list', kind], 0, /\A\w+\n/] },
      [['backup', copy, *data], 0, /Copied to .* and checked/],
      [['check', copy], 0, /is whole/],
      [['restore', copy, *data, '--yes'], 0, /Restored/],
      [['export', zip, *data], 0, /The studio is in/],
      [['import', zip, *data, '--yes'], 0, /things came or changed/],
      [['doctor', *data], 0, /The database is whole/],
      [['account', 'add', 'ada@example.org', '--name', 'Ada', '--role', 'owner', *data, *at], 0, %r{https://studio.example/new-password}],
      [['account', 'link', 'ada@example.org', *data, *at], 0, %r{https://studio.example/new-password}],
      [['account', 'list', *data], 0, /ada@example.org/],
      [['account', 'remove', 'ada@example.org', *data], 2, /only owner/],
      [%w[--help], 0, /Usage/]
    ].each do |arguments, status, words|
      said, ended = run(*arguments)
      expect([arguments, ended.exitstatus, said]).to match([arguments, status, words])
    end
  end
end
