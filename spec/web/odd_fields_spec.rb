# frozen_string_literal: true

require_relative '../web_helper'

RSpec.describe Web::App, 'odd fields', type: :request do
  # Fields that are sent as lists or branches, empty or with what no text holds.
  {
    '/classes' => %i[title date start minutes venue tool_sets project],
    '/techniques/paces' => %i[pace_1 welcome_minutes quick],
    '/classes/1/session' => %i[assistants demonstrations tires assistant_hour more_tools],
    '/classes/1/supply' => %i[margin vat spares off_reel hour tails],
    '/classes/1/teaching' => %i[practice extra school prepared],
    '/classes/1/note' => %i[taken ended unfinished teaches],
    '/classes/1/people/1/needs' => %i[age guardian allergies minor]
  }.each do |path, names|
    it "answers odd shapes of fields of #{path} without a fault, and can still plan" do
      revision = studio.classes.find(1).revision.to_s
      get '/keys'
      token = last_response.body[/name="authenticity_token" value="([^"]+)"/, 1]
      answers = names.product([['x'], { 'y' => 'z' }, '']).map do |name, value|
        post path, authenticity_token: token, revision: revision, name => value
        last_response.status
      end
      expect(answers).to all(be < 500)
      get '/classes/1'
      expect([last_response.status, page.include?('cannot be planned')]).to eq([200, false])
    end
  end
end
