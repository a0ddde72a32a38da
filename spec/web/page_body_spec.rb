# frozen_string_literal: true

require_relative '../web_helper'

RSpec.describe Web::PageBody do
  let(:long) { ('é' * described_class::AT_ONCE).freeze }
  let(:own) { +'of nobody else' }
  let(:body) { described_class.new(['a', long, *['b' * 1000] * 100, own, ''], own: [own]) }
  let(:parts) { body.enum_for(:each).to_a }

  it 'sends all in its order, long pieces as they are kept, and no part of its own longer than is sent at once' do
    expect(parts.join).to eq("a#{long}#{'b' * 100_000}of nobody else")
    expect(body.bytesize).to eq(parts.join.bytesize)
    expect(parts.count { |part| part.equal?(long) }).to eq(1)
    expect((parts - [long]).map(&:bytesize)).to all(be <= described_class::AT_ONCE)
  end

  it 'lets go of what it made, and of nothing that is kept, when it is sent' do
    parts
    body.close
    expect([parts.count(&:empty?), own, long.size]).to eq([parts.size - 1, '', described_class::AT_ONCE])
  end
end

RSpec.describe 'The length of a page', type: :request do
  ['/', '/projects', '/classes/1', '/classes/1/kits', '/classes/1/no-such-place', '/no-such-page'].each do |path|
    it "is told with #{path}" do
      get path
      expect(last_response.headers['content-length'].to_i).to eq(last_response.body.bytesize)
    end
  end
end
