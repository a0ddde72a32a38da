# frozen_string_literal: true

require_relative '../web_helper'

# A shared studio. What is asked of it is named in OWASP's Cheat Sheet Series: Authentication, Session Management, Forgot Password,
# Authorization.
RSpec.describe Web::SignIn, type: :request do
  let(:folder) { Dir.mktmpdir }
  let(:sharing) { Web::Sharing.new(address: '0.0.0.0', names: ['studio.example']) }
  let(:app) { served(sharing) }

  before do
    Web::SignInLimits::COUNTS.clear
    stub_const('BCrypt::Engine::DEFAULT_COST', BCrypt::Engine::MIN_COST)
    stub_const('Web::SignIn::FORGOTTEN_SECONDS', 0.0)
  end

  let(:usual) { 'three moons over a hill' }

  # @return [Integer] the account's id, with a password
  def account(role, name: role.to_s.capitalize)
    studio.accounts.add(login: "#{role}@example.org", name: name, role: role).tap do |id|
      studio.database[:accounts].where(id: id).update(password_hash: BCrypt::Password.create(usual, cost: BCrypt::Engine::MIN_COST))
    end
  end

  def served(sharing)
    Web::App.for_studio(studio, secret: Requests::SECRET, runner: Studios::RUNNER, folder: folder, today: -> { Studios::TODAY },
      sharing: sharing)
  end

  def submit(from, path, **fields)
    get from
    post path, { authenticity_token: page[/name="authenticity_token" value="([^"]+)"/, 1] }.merge(fields)
  end

  def sign_in(role, password: usual, **more)
    submit('/sign-in', '/sign-in', login: "#{role}@example.org", password: password, **more)
  end

  # @return [Array<String>] every route but those of the forms for signing in
  def routes
    verbs = Web::App.routes.slice('GET', 'POST')
    forms = [*Web::Routes::Accounts::FORMS.keys, '/join'].map { |path| "GET #{path}" }
    verbs.flat_map { |verb, all| all.map { |pattern, *| "#{verb} #{pattern}" } } - forms
  end

  it 'knows every route and its right, and nothing that is no route' do
    expect(Web::Rights::OF_ROUTES.keys).to match_array(routes)
  end

  it 'has words for every change that it writes down' do
    silent = routes.grep(/^POST/).reject { |route| Formats::Wording.words?(Web::RoleGate.words_of(route)) }
    looks = %w[/settings/theme /jobs/:job/stop /projects /projects/:key/compose /stockroom/prices /safe-keeping/studio
               /invited/:code]
    of_classes = %w[live forecast forecast/stop levers levers/stop pdf].map { |last| "/classes/:id/#{last}" }
    of_drafts = ['', '/back', '/forward', '/settings', '/discard'].map { |last| "/drafts/:id#{last}" }
    expect(silent).to match_array([*looks, *of_classes, *of_drafts].map { |path| "POST #{path}" })
  end

  Store::Accounts::ROLES.each do |role|
    it "opens to the #{role} what that role may ask for, and nothing else" do
      id = account(role)
      gate = Rack::MockRequest.new(Web::RoleGate.new(->(env) { [200, {}, [env['PATH_INFO']]] }, Web::App.routes, studio.audit_log,
        at_hand: -> { [1] }))
      env = { Web::SignedIn::ACCOUNT => studio.accounts.find(id) }
      answers = routes.to_h do |route|
        verb, pattern = route.split
        path = pattern.gsub(/:\w+/) { |name| name == ':place' ? 'kits' : '1' }
        [route, gate.request(verb, path, env).then { |answer| answer.body == path }]
      rescue KeyError
        [route, nil]
      end
      allowed = Web::Rights::OF_ROUTES.select { |_, right| Web::Rights.allow?(role, right) }.keys
      expect(answers.select { |_, open| open }.keys).to match_array(allowed)
    end
  end

  it 'asks for an account before it shows or changes anything, and leads on to what was asked for' do
    account(:instructor)
    %w[/ /classes/1 /people /classes/1.json /safe-keeping/copies/x /nowhere].each do |path|
      get path
      expect([path, last_response.status, last_response['location']]).to eq([path, 302, '/sign-in'])
    end
    submit('/sign-in', '/classes/1/remove')
    expect([last_response['location'], studio.classes.find(1).id]).to eq(['/sign-in', 1])
    header 'X-Poll', '1'
    get '/classes/1'
    expect(last_response.status).to eq(401)
    header 'X-Poll', nil
    get '/classes/2'
    sign_in(:instructor)
    expect([last_response.status, last_response['location']]).to eq([302, '/classes/2'])
    get '/classes/1'
    expect(page).to include('Instructor').and(satisfy { |body| !body.include?('/settings/unit') })
  end

  it 'answers alike whether the address, the password or the number of tries is wrong, and unlocks by a link' do
    id = account(:viewer)
    answers = %i[nobody viewer].map do |who|
      Array.new(7) do
        sign_in(who, password: 'wrong wrong wrong')
        [last_response.status, page.gsub(/value="[^"]*"/, '')]
      end
    end
    expect(answers.flatten(1).uniq.size).to eq(1)
    expect(answers.first.first).to match([401, /The address or the password is wrong/])
    sign_in(:viewer)
    expect([last_response.status, page.include?(usual)]).to eq([401, false])
    expect(studio.accounts.find(id).locked).to be(true)
    follow_link(id)
    submit('/new-password', '/new-password', password: 'short', 'password-confirm': 'short')
    expect(page).to include('Use 12 characters or more')
    [' ' * 12, 'a' * 14, '123456789012', 'viewer@example.org', 'password1234', 'dragondragon'].each do |easy|
      submit('/new-password', '/new-password', password: easy, 'password-confirm': easy)
      expect([easy, page]).to match([easy, a_string_including('too easy to guess')])
    end
    submit('/new-password', '/new-password', password: "#{usual}!", 'password-confirm': "#{usual}!")
    expect(studio.accounts.find(id).locked).to be(false)
    sign_in(:viewer, password: "#{usual}!")
    expect(last_response['location']).to eq('/')
  end

  # @return [void] the page of the link that the newest letter holds
  def follow_link(id)
    submit('/forgotten-password', '/forgotten-password', login: studio.accounts.find(id).login)
    expect(page.empty? || page.include?('on its way')).to be(true)
    get letter_link
    follow_redirect!
  end

  # @return [String] in the newest letter, without the host
  def letter_link
    Mail.read(Dir[File.join(folder, 'outgoing mail', '*.eml')].max).body.decoded[%r{(?<=http://127\.0\.0\.1)/\S+}]
  end

  it 'tells nobody who has an account, takes a link once, and refuses one that is too old' do
    id = account(:viewer)
    said = %w[viewer nobody].map do |who|
      submit('/forgotten-password', '/forgotten-password', login: "#{who}@example.org")
      status = last_response.status
      follow_redirect!
      [status, page[/If that address has an account[^<]+/]]
    end
    expect(said.uniq.size).to eq(1)
    studio.database[:account_password_reset_keys].update(deadline: '2020-01-01 00:00:00')
    get letter_link
    2.times { follow_redirect! }
    expect(page).to include('That link holds no longer')
    expect(studio.accounts.find(id).ready).to be(true)
  end

  it 'waits after a forgotten password, so that a letter does not show by its time' do
    stub_const('Web::SignIn::FORGOTTEN_SECONDS', 3600.0)
    account(:viewer)
    waited = []
    allow(app_settings.sign_in.value).to(receive(:sleep) { |seconds| waited << seconds.round(-2) })
    %w[viewer nobody].each { |who| submit('/forgotten-password', '/forgotten-password', login: "#{who}@example.org") }
    expect(waited).to eq([3600, 3600])
  end

  it 'slows down an address that tries many accounts' do
    allow(Time).to receive(:now).and_return(Time.now)
    statuses = Array.new(Web::SignInLimits::MOST + 2) do |number|
      sign_in("one#{number}")
      last_response.status
    end
    expect(statuses.tally).to eq(401 => Web::SignInLimits::MOST, 429 => 2)
  end

  it 'ends sessions: signed out, idle for too long, removed, or after the password was changed elsewhere' do
    id = account(:owner)
    sign_in(:owner)
    get '/account'
    expect(page).to include('owner@example.org')
    cookie = rack_mock_session.cookie_jar['eager_bench']
    submit('/account', '/sign-out')
    expect(last_response.headers['Clear-Site-Data']).to eq('"storage"')
    rack_mock_session.cookie_jar['eager_bench'] = cookie
    expect(signed_in?).to be(false)
    sign_in(:owner)
    allow(Time).to receive(:now).and_return(Time.now + described_class::IDLE_SECONDS + 60)
    expect(signed_in?).to be(false)
    sign_in(:owner)
    expect(signed_in?).to be(true)
    account(:helper)
    studio.accounts.give_role(studio.accounts.with_login('helper@example.org').id, :owner)
    studio.accounts.remove(id)
    expect(signed_in?).to be(false)
  end

  def signed_in?
    get '/account'
    last_response.status == 200
  end

  it 'does nothing for a session that was ended elsewhere, the forms for passwords included' do
    account(:owner)
    sign_in(:owner)
    cookie = rack_mock_session.cookie_jar['eager_bench']
    submit('/account', '/sign-out', global_logout: 't')
    rack_mock_session.cookie_jar['eager_bench'] = cookie
    get '/change-password'
    expect([last_response.status, last_response['location']]).to eq([302, '/sign-in'])
    rack_mock_session.cookie_jar['eager_bench'] = cookie
    header 'X-Poll', '1'
    get '/classes/1'
    expect(last_response.status).to eq(401)
  end

  it 'says at the field that the present password is wrong, and changes it with the right one' do
    account(:viewer)
    sign_in(:viewer)
    fields = { password: 'not this one at all', 'new-password': 'a wide quiet river', 'password-confirm': 'a wide quiet river' }
    submit('/change-password', '/change-password', **fields)
    expect(page).to include('This is not the present password', 'Viewer')
    submit('/change-password', '/change-password', **fields, password: usual)
    follow_redirect!
    expect(page).to include('Your password is changed')
  end

  it 'answers below 500 to all that is sent to its door' do
    account(:owner)
    hostile = ["\xFF\xFE", "a\0b", 'x' * 100_000, "' OR 1=1 --", '']
    forms = hostile.flat_map do |text|
      [{ login: 'owner@example.org', password: text, key: text, remember: text, 'new-password': text }, { login: text, password: text },
       { login: [text], password: { a: text } }]
    end
    statuses = %w[/sign-in /forgotten-password /new-password /change-password].product(forms).map do |path, fields|
      Web::SignInLimits::COUNTS.clear
      submit('/sign-in', path, **fields)
      last_response.status
    end
    cookies = ['_remember=1_%00', '_remember=%ff_%ff', '_remember=99999999999999999999_x', 'eager_bench=nothing'].map do |cookie|
      Rack::MockRequest.new(app).get('/new-password?key=%ff', 'HTTP_HOST' => '127.0.0.1', 'HTTP_COOKIE' => cookie).status
    end
    expect(statuses + cookies).to all(be < 500)
  end

  it 'takes long files from those alone who are in, and believes a proxy on this machine alone whom it asks for' do
    long = { 'HTTP_HOST' => '127.0.0.1', 'CONTENT_LENGTH' => '9000000' }
    expect(Rack::MockRequest.new(app).post('/safe-keeping/copies/file', long).status).to eq(413)
    account(:owner)
    sign_in(:owner)
    env = long.merge('HTTP_COOKIE' => "eager_bench=#{Rack::Utils.escape(rack_mock_session.cookie_jar['eager_bench'])}")
    expect(Rack::MockRequest.new(app).post('/safe-keeping/copies/file', env).status).to eq(403)
    address = ->(own) { Web::SignInLimits.address_of(Rack::Request.new('REMOTE_ADDR' => own, 'HTTP_X_FORWARDED_FOR' => '203.0.113.5')) }
    expect([address.('127.0.0.1'), address.('192.168.1.9')]).to eq(['203.0.113.5', '192.168.1.9'])
  end

  it 'is looked after from the command line: the first owner, links, who has an account' do
    data = File.dirname(studio.database.opts[:database])
    said = StringIO.new
    run = lambda do |*arguments|
      Application::CommandLine.new(['account', *arguments, '--data', data], output: said, errors: said,
        more: { 'account' => Web::AccountCommands }).run
    end
    added = run.('add', 'ada@example.org', '--name', 'Ada', '--role', 'owner', '--at', 'https://studio.example')
    expect([added, said.string]).to match([0, %r{https://studio\.example/new-password\?key=}])
    wrong = [%w[add ada@example.org --role owner], %w[add bo --role king], %w[remove ada@example.org], %w[link nobody@example.org],
             %w[link ada@example.org --at nowhere], %w[dance], %w[list --name]]
    expect(wrong.map { |words| run.(*words) }).to all(eq(2))
    expect([run.('link', 'ada@example.org'), run.('list')]).to eq([0, 0])
    expect(said.string).to include('has an account already', 'Give an e-mail address', 'only owner',
      'is no address of a studio', 'Ada  (no password yet)')
  end

  it 'sets strict cookies, secure where browsers come by HTTPS, and stays signed in only when asked' do
    account(:owner)
    sign_in(:owner, remember: '1')
    cookies = [last_response['set-cookie']].flatten.join("\n").split("\n")
    expect(cookies).to all(match(/httponly/i).and(match(/samesite=strict/i)))
    expect(cookies.map { |one| one[/\A\w+/] }).to match_array(%w[eager_bench _remember])
    rack_mock_session.cookie_jar.delete('eager_bench')
    expect(signed_in?).to be(true)
    copied = rack_mock_session.cookie_jar['_remember']
    submit('/account', '/sign-out')
    rack_mock_session.cookie_jar.delete('eager_bench')
    rack_mock_session.cookie_jar['_remember'] = copied
    expect(signed_in?).to be(false)
    answer = Rack::MockRequest.new(served(sharing.with(https: true))).get('https://studio.example/sign-in', 'HTTP_HOST' => 'studio.example')
    expect([answer['set-cookie'], answer['strict-transport-security']]).to match([/secure/i, /max-age=\d{8}/])
  end

  it 'prints the address that it listens on' do
    told = [[{ address: '127.0.0.1' }, 'http://127.0.0.1:80'], [{ address: '192.0.2.7', https: true }, 'http://192.0.2.7:80'],
            [{ address: '0.0.0.0', names: ['studio.example'] }, 'http://studio.example:80'],
            [{ address: '192.0.2.7', certificate: 'x' }, 'https://192.0.2.7:80']]
    expect(told.map { |settings, _| Web::Sharing.new(**settings).url(80) }).to eq(told.map(&:last))
  end

  it 'shows a viewer no form that could be sent but their own' do
    account(:viewer)
    sign_in(:viewer)
    %w[/classes/1 /classes/1/kits /classes/1/evening /techniques].each do |path|
      get path
      actions = page.scan(/<form[^>]*method="post"[^>]*action="([^"]+)"/).flatten - Web::LookOnly::OWN
      expect([path, actions, page.include?('<fieldset disabled')]).to eq([path, [], true])
    end
  end

  it 'answers to its own names alone' do
    hosts = %w[studio.example 127.0.0.1 evil.example]
    statuses = hosts.map { |host| Rack::MockRequest.new(app).get('/sign-in', 'HTTP_HOST' => host).status }
    expect(statuses).to eq([200, 200, 403])
  end

  it 'lets the owner add people, change what they may do, and remove them, and keeps one owner' do
    account(:owner, name: 'Ilse Marrow')
    sign_in(:owner)
    submit('/accounts', '/accounts', login: 'not an address', name: '', role: 'king')
    expect(last_response.status).to eq(422)
    expect(page).to include('Give an e-mail address', 'Give the name', 'value="not an address"')
    submit('/accounts', '/accounts', login: 'Oru@example.org', name: 'Oru Tamsin', role: 'viewer')
    follow_redirect!
    expect(page).to match(%r{Oru Tamsin can set a password with this link, for a day: http://127.0.0.1/new-password\?key=})
    oru = studio.accounts.with_login('oru@example.org')
    submit('/accounts', '/accounts', login: 'oru@example.org', name: 'Another', role: 'viewer')
    expect(page).to include('has an account with this address already')
    submit('/accounts', "/accounts/#{oru.id}", role: 'helper')
    expect(studio.accounts.find(oru.id).role).to eq(:helper)
    submit('/accounts', "/accounts/#{studio.accounts.with_login('owner@example.org').id}", role: 'viewer')
    follow_redirect!
    expect(page).to include('This is the only owner')
    submit('/accounts', "/accounts/#{oru.id}/remove")
    follow_redirect!
    expect(page).to include('Added an account', 'Removed an account', 'Ilse Marrow')
    expect(studio.accounts.all.map(&:name)).to eq(['Ilse Marrow'])
  end

  it 'writes down who changed what in a class, and shows it there' do
    account(:instructor, name: 'Ilse Marrow')
    sign_in(:instructor)
    ['Someone', ''].each do |name|
      submit('/classes/1', '/classes/1/people', name: name, level: '2', revision: studio.classes.find(1).revision.to_s, body: 'wrist',
        measure: '')
    end
    get '/classes/1/changes'
    expect(page.scan('Added someone').size).to eq(1)
    expect(page).to include('Ilse Marrow')
  end

  it 'shows a helper Live alone' do
    account(:helper)
    sign_in(:helper)
    follow_redirect!
    expect(last_response['location']).to eq('/live')
    follow_redirect!
    expect(page).to include('/classes/1/live').and(satisfy { |body| !body.include?('Stockroom') })
    get '/classes/1'
    expect([last_response.status, page]).to match([403, a_string_including('Your account is for Live on the evening')])
    get '/classes/1/live'
    expect(page).to include('Start the class')
    get '/classes/2/live'
    expect(last_response.status).to eq(403)
  end
end
