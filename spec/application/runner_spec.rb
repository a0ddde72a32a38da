# frozen_string_literal: true

require_relative '../studio_helper'

RSpec.describe Application::Work::Runner do
  subject(:runner) { described_class.new }

  after { runner.close }

  let(:studio) { new_studio }
  let(:model) { results_of(studio).of(1).model }

  def task(*stages)
    Application::Tasks::Simulate.new(model: model, stages: stages)
  end

  def alive?(pid)
    File.read("/proc/#{pid}/stat").split(') ').last.split.first != 'Z'
  rescue Errno::ENOENT, Errno::ESRCH
    false
  end

  it 'works in another process, tells how far it is, and answers as this process would' do
    shares = []
    job = runner.submit(task(20, 40), changed: ->(one) { shares << one.percent })
    expect(job.wait(Studios::PATIENCE)).to be(true)
    expect([job.state.found.chance, job.state.running, job.state.error]).to eq([task(20, 40).call(->(_) {}).chance, false, nil])
    expect(shares).to include(50).and(satisfy { |all| all == all.sort })
    expect(runner.pids).to all(satisfy { |pid| pid != Process.pid && alive?(pid) })
  end

  it 'tries again when its worker is killed in the middle, and has no more than two' do
    job = runner.submit(task(40, 2000))
    job.first_news(30)
    runner.pids.each { |pid| Process.kill(:KILL, pid) }
    expect([job.wait(Studios::PATIENCE), job.state.error]).to eq([true, nil])
    expect(runner.pids.size).to be <= 2
  end

  it 'stops what is under way, and what has not begun' do
    jobs = Array.new(4) { runner.submit(task(40, 50_000), about: [:forecast, 1]) }
    jobs.first.first_news(30)
    runner.drop([:forecast, 1])
    expect(jobs.map { |job| job.state.running }).to all(be(false))
    expect(jobs.map { |job| job.wait(Studios::PATIENCE) }).to all(be(true))
    expect(jobs.map(&:result)).to all(be_nil)
    expect(runner.submit(task(20)).wait(Studios::PATIENCE)).to be(true)
  end

  it 'does not stop the next piece of work with a stop that came too late' do
    first = runner.submit(task(20))
    first.wait(Studios::PATIENCE)
    worker = Application::Work::Child.new
    [['a', task(20)], ['a', Application::Work::Worker::STOP], ['b', task(30)]].each { |message| worker.send(message) }
    ended = []
    ended << worker.receive until ended.count { |kind, _| %i[done stopped].include?(kind) } == 2
    expect(ended.last.first).to eq(:done)
  ensure
    worker&.kill
  end

  it 'goes on with a new worker after one had to be ended' do
    2.times do
      job = runner.submit(task(40, 500_000))
      job.first_news(30)
      runner.instance_variable_get(:@threads).each { |thread| thread[:process]&.kill }
      job.stop
      expect(job.wait(Studios::PATIENCE)).to be(true)
    end
    expect(Array.new(4) { runner.submit(task(20)) }.map { |job| [job.wait(Studios::PATIENCE), job.state.error] }).to all(eq([true, nil]))
  end

  it 'serves first what someone looks at' do
    begun = Queue.new
    # Both workers are busy until all wait in the queue.
    busy = Array.new(2) { runner.submit(task(40, 100_000)).tap { |job| job.first_news(30) } }
    submit = ->(name, urgent) { runner.submit(task(20), urgent: urgent, changed: ->(job) { begun << name if job.running? }) }
    jobs = [submit.('later', false), submit.('later still', false), submit.('now', true)]
    busy.first.stop
    jobs.each { |job| job.wait(Studios::PATIENCE) }
    busy.last.stop
    expect(begun.pop).to eq('now')
  end

  it 'leaves no process behind' do
    runner.submit(task(40, 100_000)).first_news(30)
    pids = runner.pids
    expect(pids).not_to be_empty
    runner.close
    expect(pids.map { |pid| alive?(pid) }).to all(be(false))
  end

  it 'says what went wrong in the work itself' do
    broken = Application::Tasks::Simulate.new(model: nil, stages: [1])
    job = nil
    expect { job = runner.submit(broken).tap { |one| one.wait(Studios::PATIENCE) } }
      .to output(%r{\AApplication::Tasks::Simulate: NoMethodError at core/class/session/}).to_stderr_from_any_process
    expect([job.wait(Studios::PATIENCE), job.failed?, job.state.error]).to match([true, true, a_string_including('NoMethodError')])
  end
end
