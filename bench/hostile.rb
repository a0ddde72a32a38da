# frozen_string_literal: true

# Hostile use, bounded and seeded: requests with valid tokens over every route, mutated class files, double submits, kills in the middle of
# writes, and stops of the whole server. Prints a table; ends with 1 when anything failed.
# The kinds of input follow OWASP's lists: injection, path traversal, mass assignment, resource exhaustion, business logic (double
# submission).
# Run: bundle exec ruby -I. bench/hostile.rb [requests] [files] [doubles] [kills] [stops] [seed] [malformed] [migrations] [restores]
require 'json'
require 'rack/mock'
require 'socket'
require 'tmpdir'
require_relative 'support'
EagerBench.load(:standins, :web)

# What is sent where.
module Hostile
  SLOW_SECONDS = 5.0
  VALUES = ['',
            ' ',
            '0',
            '-1',
            '1e20',
            '1e400',
            '9' * 400,
            "\xFF\xFE",
            "a\u0000b",
            "x\r\nSet-Cookie: a=b",
            '../../etc/passwd',
            '<script>alert(1)</script>',
            "'; DROP TABLE classes; --",
            '%%content%%',
            '{{7*7}}',
            "\u0301" * 5000,
            'x' * 200_000,
            '2026-02-31',
            '99999-01-01',
            '-4712-01-01',
            '25:99',
            "18:30\n",
            'NaN',
            'Infinity',
            '1/0',
            '17-18 cm',
            '5 mm',
            '190 in',
            '=1+1',
            "\u202e",
            '1',
            '2',
            'wrist',
            'comet_tail',
            'round_8_smoke',
            'front.pattern.0',
            'front.line',
            'front',
            'front.pattern.0.0.0.0.0',
            'insert',
            'stall',
            'piece',
            'gram',
            'received',
            'weighed',
            '12.5',
            'a' * 32].freeze
  NESTED = [['a'], { 'a' => 'b' }, [{ 'a' => ['b'] }], { 'tempfile' => 'x' }].freeze
  CLASS = %w[revision place seat once take_over].freeze
  STOCKROOM_FIELDS = %w[
    name kind along outer hole form colour mark lines thickness people_per_tool level seconds tools prerequisites cautions points
  ].freeze
  # Every route with the fields its form has. One that is missing here fails the spec.
  ROUTES = {
    'GET /' => [],
    'GET /keys' => [],
    'GET /classes/held' => %w[q page],
    'GET /classes/new' => [],
    'POST /classes' => %w[title project date start minutes venue tool_sets once],
    'GET /import' => [],
    'POST /import' => %w[document file once],
    'GET /classes/:id' => %w[seat at place],
    'GET /classes/:id/:place' => %w[seat at],
    'GET /classes/:id.json' => [],
    'GET /classes/:id/file' => [],
    'GET /classes/:id.ics' => [],
    'GET /classes/:id/choices' => %w[seat],
    'GET /classes/:id/checks' => %w[seat],
    'GET /classes/:id/missing-prices' => [],
    'POST /classes/:id/missing-prices' => %w[supplier amount price],
    'GET /classes/:id/pieces' => %w[seat],
    'GET /classes/:id/run-sheet' => %w[seat],
    'GET /classes/:id/print' => %w[seat],
    'GET /classes/:id/handouts' => %w[seat],
    'GET /classes/:id/labels' => [],
    'GET /classes/:id/notes' => [],
    'GET /classes/:id/true-size' => [],
    'GET /classes/:id/variants' => %w[a1 a2 b1 b2 c1 c2],
    'GET /classes/:id/invitation' => %w[more],
    'GET /classes/:id/invitation/sheet' => [],
    'POST /classes/:id/invitation' => %w[closes_on seats words],
    'POST /classes/:id/invitation/close' => [],
    'POST /classes/:id/invitation/reminders' => [],
    'POST /classes/:id/invitation/:answer/accept' => [],
    'POST /classes/:id/invitation/:answer/decline' => [],
    'GET /invited/:code' => [],
    'POST /invited/:code' => %w[name measure mail age other_allergy note consent colourway done allergies flags brings once],
    'GET /classes/:id/cards' => [],
    'GET /classes/:id/wordless' => [],
    'GET /classes/:id/board' => [],
    'POST /classes/:id/settings' => [*CLASS, 'title', 'date', 'start', 'minutes', 'venue', 'tool_sets'],
    'POST /classes/:id/piece' => [*CLASS, 'project', 'component', 'centre'],
    'POST /classes/:id/supply' => [*CLASS,
                                   'form',
                                   'spares',
                                   'confidence',
                                   'extra_kits',
                                   'extra_size',
                                   'off_reel',
                                   'fill_up',
                                   'tails',
                                   'venue',
                                   'tools_share',
                                   'hour',
                                   'around_minutes',
                                   'margin',
                                   'rounding',
                                   'offcuts'],
    'POST /classes/:id/teaching' => [*CLASS, 'practice', 'shorter', 'extra', 'extra_text', 'extra_minutes', 'prepared', 'easier',
                                     'stand_in', 'stands'],
    'POST /classes/:id/steps' => [*CLASS, 'step', 'by', 'reset'],
    'POST /classes/:id/way' => [*CLASS, 'person', 'ways', 'who'],
    'POST /classes/:id/way/back' => [*CLASS, 'way'],
    'POST /classes/:id/cure' => [*CLASS, 'person', 'finding', 'cure'],
    'POST /classes/:id/undo' => CLASS,
    'POST /classes/:id/redo' => CLASS,
    'POST /classes/:id/remove' => CLASS,
    'POST /classes/:id/restore' => CLASS,
    'POST /classes/:id/session' => [*CLASS,
                                    'demonstrations',
                                    'assistants',
                                    'stagger',
                                    'break_at',
                                    'break_minutes',
                                    'late',
                                    'late_minutes',
                                    'target',
                                    'poor_light',
                                    'fixed_end',
                                    'assistant_hour',
                                    'tool_hire',
                                    'more_tools'],
    'POST /classes/:id/forecast' => CLASS,
    'POST /classes/:id/forecast/stop' => CLASS,
    'POST /classes/:id/levers' => CLASS,
    'POST /classes/:id/levers/stop' => CLASS,
    'POST /classes/:id/levers/apply' => [*CLASS, 'levers'],
    'GET /classes/:id/order.csv' => %w[supplier],
    'POST /classes/:id/order' => [*CLASS, 'supplier'],
    'POST /classes/:id/order/cancel' => [*CLASS, 'supplier'],
    'POST /classes/:id/receive' => [*CLASS, 'supplier', 'came'],
    'POST /classes/:id/reserve-first' => CLASS,
    'GET /classes/:id/packing' => [],
    'POST /classes/:id/packing' => [*CLASS, 'kit', 'item', 'packed'],
    'POST /classes/:id/take' => CLASS,
    'POST /classes/:id/put-back' => CLASS,
    'POST /classes/:id/pdf' => [*CLASS, 'what', 'paper', 'grid', 'skip', 'print_labels'],
    'GET /classes/:id/people/paste' => %w[list column header confirm],
    'POST /classes/:id/people/paste' => [*CLASS, 'list', 'file', 'column', 'header', 'confirm'],
    'POST /classes/:id/people/assumed-size' => [*CLASS, 'assumed_size'],
    'POST /classes/:id/people/several' => [*CLASS, 'people', 'level', 'colourway', 'ease', 'notes'],
    'POST /classes/:id/people' => [*CLASS, 'name', 'measure', 'body', 'level', 'notes', 'colourway'],
    'POST /classes/:id/people/:key' => [*CLASS, 'name', 'measure', 'body', 'level', 'notes', 'colourway'],
    'POST /classes/:id/people/:key/more' => [*CLASS, 'ease', 'tails', 'brings', 'times', 'last'],
    'POST /classes/:id/people/:key/needs' => [*CLASS,
                                              'minor',
                                              'age',
                                              'guardian',
                                              'left_handed',
                                              'low_vision',
                                              'allergies',
                                              'other_allergy',
                                              'help'],
    'POST /classes/:id/people/:key/remove' => CLASS,
    'POST /classes/:id/people/:key/erase' => CLASS,
    'GET /fit-check' => %w[purpose line passes line2 passes2 hole outer part px convert bead count],
    'GET /fit-check.json' => %w[purpose line passes line2 passes2 hole outer part],
    'GET /gauge' => %w[line],
    'GET /gauge.json' => %w[line],
    'GET /stockroom' => %w[find kind low],
    'GET /stockroom/metals' => [],
    'GET /stockroom/suppliers' => [],
    'POST /stockroom/suppliers' => %w[key name delivery minimum once],
    'GET /stockroom/prices' => %w[supplier list],
    'POST /stockroom/prices' => %w[supplier list file sample],
    'GET /stockroom/prices/:job' => [],
    'POST /stockroom/prices/:job' => %w[item],
    'GET /stockroom/:table/new' => [],
    'GET /stockroom/:table/:key' => [],
    'POST /stockroom/:table' => [*STOCKROOM_FIELDS, 'once'],
    'POST /stockroom/:table/:key' => [*STOCKROOM_FIELDS, 'easier'],
    'GET /stockroom/:table/:key/stock' => %w[scale],
    'POST /stockroom/:table/:key/stock' => %w[reason quantity length note once],
    'POST /stockroom/:table/:key/offers' => %w[supplier unit amount price article],
    'POST /stockroom/:table/:key/offers/remove' => %w[offer],
    'POST /stockroom/:table/:key/remove' => [],
    'POST /stockroom/:table/:key/hide' => %w[away],
    'POST /stockroom/suppliers/:key/remove' => [],
    'POST /measures' => %w[item measure value back],
    'GET /ladder' => %w[class],
    'GET /techniques' => %w[class],
    'POST /stockroom/metals' => %w[contents[steel][nickel] contents[steel][gold] contents],
    'POST /techniques/paces' => %w[pace_1 pace_5 welcome_minutes quick slow between learning help help_minutes],
    'GET /classes/:id/projects' => %w[level price body technique at],
    'GET /classes/:id/live' => %w[at],
    'POST /classes/:id/live' => %w[kind key person undoes at detail],
    'POST /classes/:id/live/people' => %w[name measure body level notes once],
    'POST /classes/:id/practice' => %w[once],
    'POST /classes/:id/phones' => %w[on],
    'GET /join' => [],
    'GET /classes/:id/screen' => [],
    'GET /classes/:id/home' => %w[person],
    'GET /classes/:id/log.csv' => [],
    'GET /techniques/learnt' => [],
    'POST /techniques/learnt' => %w[about all],
    'POST /techniques/learnt/back' => %w[about],
    'POST /techniques/learnt/fade' => %w[months],
    'POST /techniques/learnt/fix' => %w[about fixed],
    'GET /projects' => [],
    'POST /projects' => %w[name body construction closure ease wraps once],
    'GET /projects/new' => [],
    'POST /projects/:key/compose' => %w[once],
    'GET /projects/:key/sample' => %w[component],
    'GET /projects/:key/sample/sheet' => %w[component],
    'POST /projects/:key/sample' => %w[component what units worn length cut left grams minutes level note],
    'POST /projects/:key/sample/remove' => %w[component number],
    'GET /drafts/:id' => %w[at size],
    'GET /drafts/:id.svg' => %w[size],
    'POST /drafts/:id/back' => %w[at size],
    'POST /drafts/:id/forward' => %w[at size],
    'POST /drafts/:id/settings' => %w[name body ease wraps made tails note state at size],
    'GET /drafts/:id/charts/:at.csv' => [],
    'POST /drafts/:id' => %w[do at to from names part component construction where place which own_length closure name swap state size line
                             tails letter row strand rows chart work path],
    'POST /drafts/:id/save' => %w[at],
    'POST /drafts/:id/discard' => [],
    'POST /settings/unit' => %w[unit back],
    'POST /settings/open-rings' => %w[open_rings back],
    'POST /settings/currency' => %w[currency],
    'POST /settings/theme' => %w[theme back],
    'GET /classes/:id/course' => %w[projects gap place goal evenings first],
    'POST /classes/:id/course' => %w[projects gap place first same_day once],
    'GET /classes/:id/reach' => %w[person line done left],
    'GET /people' => %w[q page],
    'GET /people/export.json' => %w[name],
    'POST /people/merge' => %w[name into],
    'POST /people/erase' => %w[name],
    'POST /people/erase/copies' => %w[person number copies do],
    'GET /classes/:id/people/known' => %w[q page],
    'POST /classes/:id/people/known' => %w[names once revision],
    'POST /classes/:id/repeat' => %w[once],
    'POST /classes/:id/by-hand' => %w[finished],
    'POST /classes/:id/note' => %w[taken remark teaches ended unfinished],
    'POST /classes/:id/swatch' => [*CLASS, 'measured', 'whose', 'value'],
    'GET /sign-in' => %w[login],
    'GET /forgotten-password' => [],
    'GET /new-password' => %w[key],
    'GET /change-password' => [],
    'GET /account' => [],
    'GET /not-allowed' => [],
    'GET /live' => [],
    'GET /accounts' => [],
    'POST /accounts' => %w[login name role once],
    'POST /accounts/:id' => %w[role],
    'POST /accounts/:id/link' => [],
    'POST /accounts/:id/remove' => [],
    'GET /classes/:id/changes' => [],
    'GET /safe-keeping' => [],
    'POST /safe-keeping/names' => %w[months],
    'GET /safe-keeping/studio.zip' => [],
    'POST /safe-keeping/studio' => %w[file],
    'GET /safe-keeping/studio/:file' => [],
    'POST /safe-keeping/studio/:file' => %w[groups theirs once],
    'POST /safe-keeping/kept' => %w[copies],
    'POST /safe-keeping/copies' => %w[once],
    'GET /safe-keeping/copies/:name' => [],
    'POST /safe-keeping/copies/file' => %w[file],
    'GET /safe-keeping/copies/:name/restore' => [],
    'POST /safe-keeping/copies/:name/restore' => [],
    'GET /jobs/:job' => [],
    'POST /jobs/:job/stop' => [],
    'GET /jobs/:job/file' => []
  }.freeze
  DO = %w[set add drop close colourways recolour drop_colourway insert earlier later more fewer remove group ungroup fill carry hang
          chart_begin chart_paint chart_insert chart_remove chart_mirror chart_spiral chart_shift chart_colour chart_drop_colour
          chart_strands chart_write].freeze
  GOOD = {
    'do' => DO,
    'project' => %w[comet_tail quiet_sky evening_star],
    'supplier' => %w[stall post_findings],
    'construction' => Core::Construction::Kinds.keys.map(&:to_s),
    'where' => %w[path centre chosen apart],
    'which' => %w[each every_2 last middle],
    'kind' => Core::Live::Event::KINDS.map(&:to_s),
    'at' => ['front.pattern', 'front.pattern.0', 'ring_end.parts.0', 'front.line', 'disc_braid.chart',
    'disc_braid.chart.0.1', 'findings.parts.0'],
    'revision' => %w[1 2 3],
    'table' => %w[parts lines tools techniques glitter],
    'place' => %w[plan kits evening afterwards],
    'unit' => %w[mm in piece gram]
  }.freeze

  # @return [Array<String>] routes of the application that the table lacks, and entries that are no route
  def self.stray_routes
    known = Web::App.routes.flat_map { |verb, list|
      list.map { |pattern, *|
        "#{verb} #{pattern}"
      }
    }.reject { |route| route.start_with?('HEAD') }.uniq
    (known - ROUTES.keys) + (ROUTES.keys - known)
  end

  # Sends to one application and counts what comes back.
  class Driver
    # failures: answers of 500 and above · slow: those over SLOW_SECONDS, which depend on the machine
    attr_reader :counts, :failures, :slow, :slowest

    # @param app [#call] @param random [Random]
    def initialize(app, random)
      @client = Rack::MockRequest.new(app)
      @random = random
      @counts = Hash.new(0)
      @failures = []
      @slow = []
      @slowest = 0.0
    end

    def requests(number)
      keys = ROUTES.keys
      number.times { |i| request(i < keys.size ? keys[i] : pick(keys)) }
    end

    def files(document, number)
      number.times { post('/import', 'document' => JSON.generate(mutated(JSON.parse(document)))) }
    end

    def post(path, fields)
      renew if @token.nil?
      send_request('POST', path, fields.merge('authenticity_token' => @token))
    end

    private

    def request(route)
      verb, pattern = route.split(' ', 2)
      path = pattern.gsub(/:(\w+)/) { segment(Regexp.last_match(1)) }
      fields = ROUTES.fetch(route).each_with_object({}) { |name, all| all[name] = value(name) if @random.rand < 0.8 }
      verb == 'GET' ? send_request('GET', path, fields) : post(path, fields)
      # What was removed is brought back, so that there is something to attack.
      post(path.sub(/remove\z/, 'restore'), {}) if pattern == '/classes/:id/remove'
    end

    def segment(name)
      usual = { 'id' => [*%w[1 2 3 4 5] * 4, '99999', '0', 'abc', '1e5'],
        'key' => %w[1 2 round_8_smoke cable_038 stringing mat comet_tail none],
        'job' => ['x' * 16, '1'] }.merge(GOOD).fetch(
          name, VALUES
      )
      Rack::Utils.escape_path(pick(usual).byteslice(0, 60).scrub.delete("\u0000\r\n"))
    end

    def value(name)
      return pick(GOOD[name]) if GOOD.key?(name) && @random.rand < 0.7

      @random.rand < 0.08 ? pick(NESTED) : pick(VALUES)
    end

    def mutated(data)
      place = data
      keys = []
      loop do
        keys << (place.is_a?(Hash) ? pick(place.keys) : @random.rand(place.size))
        break if !nested?(place[keys.last]) || @random.rand < 0.15

        place = place[keys.last]
      end
      @random.rand < 0.2 ? delete(place, keys.last) : place[keys.last] = pick([*VALUES.grep_v("\xFF\xFE"), nil, -1, 1e308, [], {}, true])
      data
    end

    def nested?(value)
      value.respond_to?(:each) && !value.empty?
    end

    def delete(place, key)
      place.is_a?(Hash) ? place.delete(key) : place.delete_at(key)
    end

    def send_request(verb, path, fields)
      began = Process.clock_gettime(Process::CLOCK_MONOTONIC)
      response = @client.request(verb, path, params: fields, 'HTTP_HOST' => '127.0.0.1', 'HTTP_COOKIE' => @cookie.to_s,
        'HTTP_X_REDRAW' => @random.rand < 0.3 ? '1' : '0')
      note(response.status, "#{verb} #{path}", fields, Process.clock_gettime(Process::CLOCK_MONOTONIC) - began)
      response
    rescue ArgumentError, EncodingError
      @counts[:not_sent] += 1
    end

    def note(status, route, fields, seconds)
      @counts[status] += 1
      @slowest = [@slowest, seconds].max
      told = [status, route, fields.transform_values { |value| value.to_s[0, 60] }, seconds.round(2)]
      @failures << told if status >= 500
      @slow << told if seconds > SLOW_SECONDS
    end

    def renew
      response = @client.get('/keys', 'HTTP_HOST' => '127.0.0.1')
      @cookie = response['set-cookie'].to_s.split("\n").map { |cookie| cookie[/\A[^;]+/] }.join('; ')
      @token = response.body[/name="authenticity_token" value="([^"]+)"/, 1]
    end

    def pick(list)
      list[@random.rand(list.size)]
    end
  end

  # Writers that are killed in the middle, and what they had been told is saved.
  module Kills
    WRITER = <<~RUBY
      require 'eager_bench'
      EagerBench.load(:core, :store)
      $stdout.sync = true
      studio = Store::Studio.new(ARGV[0])
      (1..).each do |n|
        studio.classes.edit(1, studio.classes.find(1).revision, 'x') { |state|
          state.with(workshop: state.workshop.with(title: "title \#{n}"))
        }
        puts n
      end
    RUBY

    module_function

    # @return [Integer] how many acknowledged changes were lost, or databases broken
    def lost(path, number, random)
      (1..number).sum do
        told = killed(path, 0.3 + (random.rand * 0.4))
        studio = Store::Studio.new(path)
        sound = studio.database.fetch('PRAGMA integrity_check').single_value == 'ok' &&
                studio.database.fetch('PRAGMA foreign_key_check').all.empty?
        kept = told.zero? || studio.classes.find(1).state.workshop.title.delete_prefix('title ').to_i >= told
        studio.close
        sound && kept ? 0 : 1
      end
    end

    def killed(path, seconds)
      reader, writer = IO.pipe
      pid = spawn(RbConfig.ruby, '-rbundler/setup', '-I', EagerBench::ROOT, '-e', WRITER, path, out: writer, err: File::NULL)
      writer.close
      reader.gets
      sleep seconds
      Process.kill(:KILL, pid)
      Process.wait(pid)
      reader.read.lines.last.to_i
    end
  end

  # Programs that are killed while a studio is brought up to date or put back: it must start again, whole.
  module Upgrades
    SCRIPTS = {
      migration: 'Store::Studio.new(ARGV[0]).close',
      restore: 'Store::Backups.new(ARGV[0]).restore(ARGV[1])'
    }.freeze
    OLD = File.join(EagerBench::ROOT, 'spec', 'fixtures', 'studio-v5.sqlite3')
    LONGEST_SECONDS = 0.6

    module_function

    # @param kind [Symbol] of SCRIPTS
    # @return [Array<String>] what was wrong after each kill
    def broken(kind, number, random, source)
      (1..number).filter_map do |i|
        folder = Dir.mktmpdir
        path = File.join(folder, 'studio.sqlite3')
        FileUtils.cp(kind == :migration ? OLD : source, path)
        kill(kind, path, random)
        fault(folder, path)&.then { |words| "#{kind} #{i}: #{words}" }
      end
    end

    # At any moment from the first change on.
    def kill(kind, path, random)
      reader, writer = IO.pipe
      script = "require 'eager_bench'; EagerBench.load(:core, :store); $stdout.sync = true; puts 1; #{SCRIPTS.fetch(kind)}"
      pid = spawn(RbConfig.ruby, '-rbundler/setup', '-I', EagerBench::ROOT, '-e', script, path, OLD, out: writer, err: File::NULL)
      writer.close
      reader.gets
      sleep random.rand * LONGEST_SECONDS
      Process.kill(:KILL, pid)
      Process.wait(pid)
    rescue Errno::ESRCH
      nil
    end

    def fault(folder, path)
      Store::WholeFile.sweep(folder)
      studio = Store::Studio.new(path)
      people = studio.classes.all.sum { |one| one.state.attendees.size }
      return "#{people} people" unless people.positive?
      return 'not whole' unless studio.database.fetch('PRAGMA integrity_check').single_value == 'ok'

      bad = Store::Backups.new(path).all.reject { |copy| Store::Backups.check(copy.path).status == :good }
      "copy #{bad.first.name} is not whole" if bad.any?
    rescue Store::UnusableDatabase, Sequel::Error => e
      e.message
    ensure
      studio&.close
    end
  end

  # Requests that no form makes: text in other encodings, long boundaries, bytes in addresses, bodies in chunks, and what is no HTTP.
  module Malformed
    PATHS = %w[/classes/%s /classes/%s/people /classes/1/%s /stockroom/%s/%s /drafts/%s.svg /drafts/%s/save /jobs/%s /projects/%s/compose
               /safe-keeping/studio/%s /safe-keeping/copies/%s /people/export.json?name=%s /%s].freeze
    BYTES = %w[%ff %00 %c3%28 %ed%a0%80 %ff%00%0a %2e%2e%2f %f0%9f%92%8e].freeze
    CHARSETS = %w[utf-16 utf-7 iso-2022-jp ibm037 shift_jis nonsense utf-32le us-ascii binary].freeze
    RAW = ["GET / HTTP/1.1\r\nHost: 127.0.0.1\r\nno header\r\n\r\n", "\x16\x03\x01\r\n\r\n", "GET http://[::1 HTTP/1.1\r\nHost: x\r\n\r\n",
           "POST / HTTP/1.1\r\nHost: 127.0.0.1\r\nContent-Length: -5\r\n\r\n", "GET / HTTP/9.9\r\n\r\n",
           "POST / HTTP/1.1\r\nHost: 127.0.0.1\r\nTransfer-Encoding: chunked\r\n\r\nzz\r\n", "BREW / HTTP/1.1\r\nHost: 127.0.0.1\r\n\r\n",
           "GET /#{'a' * 9000} HTTP/1.1\r\nHost: 127.0.0.1\r\n\r\n",
           "POST /classes HTTP/1.1\r\nHost: 127.0.0.1\r\nContent-Length: 999999999\r\n\r\nx"].freeze

    module_function

    # @param app [#call] @param number [Integer] of requests @return [Hash{Integer=>Integer}] how often each status came
    def answers(app, number, random)
      server = Web::HttpServer.new(app, most_bytes: Web::RequestLimits::Bodies.of(nil, 'x' * 64), min_threads: 2, max_threads: 2,
        log_writer: Puma::LogWriter.null)
      port = server.add_tcp_listener('127.0.0.1', 0).addr[1]
      server.run
      Array.new(number) { status(port, request(random)) }.tally
    ensure
      server&.stop(true)
    end

    def request(random)
      pick = ->(list) { list[random.rand(list.size)] }
      path = pick.(PATHS).gsub('%s') { pick.(BYTES) }
      head = "Host: 127.0.0.1\r\nConnection: close\r\n"
      case random.rand(4)
      when 0 then pick.(RAW)
      when 1 then "GET #{path} HTTP/1.1\r\n#{head}\r\n"
      when 2 then "POST #{path} HTTP/1.1\r\n#{head}Transfer-Encoding: chunked\r\n\r\n3\r\na=b\r\n0\r\n\r\n"
      else
        edge = 'b' * [3, 70, 500].sample(random: random)
        part = "--#{edge}\r\nContent-Disposition: form-data; name=\"title\"\r\nContent-Type: text/plain; charset=#{pick.(CHARSETS)}" \
               "\r\n\r\nabc\xFF\r\n--#{edge}--\r\n".b
        "POST #{path} HTTP/1.1\r\n#{head}Content-Type: multipart/form-data; boundary=#{edge}\r\n" \
        "Content-Length: #{part.bytesize}\r\n\r\n".b + part
      end
    end

    def status(port, bytes)
      socket = TCPSocket.new('127.0.0.1', port)
      socket.write(bytes)
      socket.wait_readable(10) ? socket.readpartial(100)[%r{HTTP/1.\d (\d+)}, 1].to_i : 0
    rescue SystemCallError, EOFError
      -1
    ensure
      socket&.close
    end
  end

  # Whole servers, told to stop or killed soon after their start: nothing of them may stay.
  module Stops
    module_function

    # @return [Array<String>] what was left
    def left(folder, number, random)
      (1..number).filter_map do |i|
        pid, port = serve(folder)
        `curl -s -o /dev/null http://127.0.0.1:#{port}/classes/1`
        workers = children(pid)
        sleep random.rand * 0.5
        Process.kill(i.odd? ? :TERM : :KILL, pid)
        ended = wait(pid, 10)
        sleep 1.5
        alive = workers.select { |worker|
          File.exist?("/proc/#{worker}") && File.read("/proc/#{worker}/stat").split(') ').last[0] != 'Z'
        }.map { |worker|
          File.read("/proc/#{worker}/cmdline").tr("\0", ' ')[0,
            90]
        }
        "stop #{i}: #{'the server stayed; ' unless ended}stayed: #{alive.join('; ')}" unless ended && alive.empty?
      end
    end

    # @param port [Integer] 0 for any that is free
    # @return [Array(Integer, String)] process and port of a server that answers
    def serve(folder, port: 0)
      reader, writer = IO.pipe
      pid = spawn(RbConfig.ruby, '-rbundler/setup', '-I', EagerBench::ROOT, '-e',
        "require 'eager_bench'; EagerBench.load(*EagerBench::PARTS); Web::Server.new(data: ARGV[0], port: ARGV[1].to_i).run", folder,
        port.to_s,
        out: writer, err: File::NULL)
      writer.close
      line = reader.gets until line.to_s.include?('http://')
      [pid, line[/:(\d+)/, 1]]
    end

    def children(pid)
      Dir['/proc/[0-9]*/stat'].filter_map { |file|
        (fields = File.read(file).split(') ').last.split) && fields[1].to_i == pid && file[/\d+/].to_i
      }
    rescue Errno::ENOENT, Errno::ESRCH
      []
    end

    def wait(pid, seconds)
      (seconds * 20).times { return true if Process.wait(pid, Process::WNOHANG) || sleep(0.05).nil? }
      Process.kill(:KILL, pid)
      false
    end
  end
end

if $PROGRAM_NAME == __FILE__
  requests, files, doubles, kills, stops, seed, odd, migrations, restores = [10_000, 1000, 200, 50, 20, 1, 5000, 40,
    20].each_with_index.map { |usual, i| (ARGV[i] || usual).to_i }
  random = Random.new(seed)
  folder = Dir.mktmpdir
  studio = Bench.studio(File.join(folder, 'studio.sqlite3'))
  runner = Application::Work::Runner.new
  app = Web::App.for_studio(studio, secret: 'x' * 64, runner: runner, folder: folder, stages: [60])
  driver = Hostile::Driver.new(app, random)
  document = Rack::MockRequest.new(app).get('/classes/1/file', 'HTTP_HOST' => '127.0.0.1').body
  driver.requests(requests)
  driver.files(document, files)
  doubled = (1..doubles).count do |i|
    before = studio.ledger.stock.part('round_6_frost')
    Array.new(3) {
      Thread.new {
        Hostile::Driver.new(app, Random.new(i)).post('/stockroom/parts/round_6_frost/stock', 'reason' => 'received', 'quantity' => '1',
          'once' => format('%032x', i))
      }
    }.each(&:join)
    studio.ledger.stock.part('round_6_frost') != before + 1
  end
  malformed = Hostile::Malformed.answers(app, odd, random)
  integrity = studio.database.fetch('PRAGMA integrity_check').single_value
  memory = File.read('/proc/self/status')[/VmRSS:\s+(\d+)/, 1].to_i / 1024
  runner.close
  studio.result_cache.settle
  studio.close
  path = File.join(Dir.mktmpdir, 'studio.sqlite3')
  Bench.studio(path).tap { |own| own.result_cache.settle }.close
  lost = Hostile::Kills.lost(path, kills, random)
  left = Hostile::Stops.left(Dir.mktmpdir, stops, random)
  broken = Hostile::Upgrades.broken(:migration, migrations, random, path) + Hostile::Upgrades.broken(:restore, restores, random, path)
  puts "malformed: #{malformed.sort.map { |status, count| "#{status}: #{count}" }.join(', ')} (0: no answer, -1: closed)"
  puts "kills in migrations and restores that broke something: #{broken.size} of #{migrations + restores}"
  puts "answers: #{driver.counts.sort_by { |status, _| status.to_s }.map { |status, count| "#{status}: #{count}" }.join(', ')}"
  puts format('slowest answer %.2f s · resident memory %d MB · integrity %s', driver.slowest, memory, integrity)
  puts "class files: #{files} · double submits that counted twice: #{doubled} of #{doubles}"
  puts "kills that lost or broke something: #{lost} of #{kills} · stops that left something: #{left.size} of #{stops}"
  driver.failures.first(40).each { |failure| puts "FAILED #{failure.inspect}" }
  driver.slow.first(40).each { |answer| puts "SLOW #{answer.inspect}" }
  broken.each { |words| puts "BROKEN #{words}" }
  left.each { |words| puts "LEFT #{words}" }
  odd_fault = malformed.keys.any? { |status| status >= 500 }
  sound = broken.empty? && !odd_fault && driver.failures.empty? && driver.slow.empty? && integrity == 'ok'
  exit(sound && doubled.zero? && lost.zero? && left.empty? ? 0 : 1)
end
