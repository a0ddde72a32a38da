# frozen_string_literal: true

require_relative '../browser_helper'

# Every page, as wide as a telephone, a tablet and a laptop: nothing is wider than the window, nothing that can be clicked lies
# under something else that can, no word is missing, the focus has a ring, and axe finds nothing. Widths and overlaps are measured by
# the browser.
RSpec.describe 'A walk through every page', type: :feature do
  places = ['', '/kits', '/evening', '/afterwards', '/print', '/run-sheet', '/handouts', '/cards', '/board',
    '/wordless', '/labels', '/people/paste',
    '/notes', '/live', '/screen', '/home']
  pages = ['/',
           '/classes/new',
           '/import',
           '/projects',
           '/projects/new',
           '/projects/wandering_stars/sample',
           '/techniques?class=1',
           '/techniques/learnt',
           '/classes/1/projects',
           '/classes/1/pieces',
           '/fit-check',
           '/stockroom',
           '/stockroom/suppliers',
           '/stockroom/prices',
           '/stockroom/parts/new',
           '/stockroom/lines/new',
           '/stockroom/tools/new',
           '/stockroom/techniques/new',
           '/stockroom/parts/pearl_7_cream',
           '/stockroom/parts/pearl_7_cream/stock',
           '/stockroom/lines/cable_038/stock',
           '/safe-keeping',
           '/accounts',
           '/classes/held',
           '/people',
           '/classes/2/people/known',
           '/classes/1/course?projects[]=evening_star&projects[]=moonrise', '/classes/1/reach',
           '/classes/1/variants',
           '/classes/1/invitation',
           '/nowhere']

  # Counts the points at which a thing that can be clicked is covered by another that is not inside it.
  measure = <<~JS
    const wide = document.documentElement.scrollWidth - document.documentElement.clientWidth;
    const things = [...document.querySelectorAll('a[href], button, input, select, textarea, summary')].filter(thing => {
      const box = thing.getBoundingClientRect();
      const shown = thing.checkVisibility({ checkOpacity: true, checkVisibilityCSS: true });
      return box.width > 1 && box.height > 1 && shown && !thing.closest('svg');
    });
    // What a scrolling part hides cannot be clicked.
    const boxes = things.map(thing => {
      let { left, right, top, bottom } = thing.getBoundingClientRect();
      for (let at = thing.parentElement; at; at = at.parentElement) if (getComputedStyle(at).overflowX !== 'visible') {
        const box = at.getBoundingClientRect();
        left = Math.max(left, box.left); right = Math.min(right, box.right);
        top = Math.max(top, box.top); bottom = Math.min(bottom, box.bottom);
      }
      return { left, right, top, bottom };
    });
    const fixed = thing => {
      for (let at = thing; at; at = at.parentElement) if (/sticky|fixed/.test(getComputedStyle(at).position)) return true;
    };
    const meet = [];
    for (let i = 0; i < things.length; i++) for (let j = i + 1; j < things.length; j++) {
      const x = Math.min(boxes[i].right, boxes[j].right) - Math.max(boxes[i].left, boxes[j].left);
      const y = Math.min(boxes[i].bottom, boxes[j].bottom) - Math.max(boxes[i].top, boxes[j].top);
      if (x <= 2 || y <= 2 || things[i].contains(things[j]) || things[j].contains(things[i])) continue;
      if (fixed(things[i]) === fixed(things[j])) meet.push(
        [things[i], things[j]].map(thing => (thing.textContent || thing.name || thing.id).trim().slice(0, 30)).join(' / '));
    }
    return [wide, meet.slice(0, 3)];
  JS

  # What shows no ring when it is reached by keyboard.
  ringless = <<~JS
    [...document.querySelectorAll('a[href], button, input, select, textarea, summary')].filter(thing => {
      if (thing.disabled || thing.closest('svg') || !thing.checkVisibility({ checkOpacity: true, checkVisibilityCSS: true })) return false;
      thing.focus({ preventScroll: true });
      return thing.matches(':focus-visible') && getComputedStyle(thing).outlineStyle === 'none';
    }).map(thing => (thing.textContent || thing.name || thing.id).trim().slice(0, 30)).slice(0, 3);
  JS

  # axe-core's own verdicts (WCAG 2.2 AA and its best practices), light and dark; colours are all that dark mode changes.
  axe_source = File.read(Dir[File.join(Gem.loaded_specs.fetch('axe-core-api').full_gem_path, '**', 'axe.min.js')].first)
  # A colour that is still changing is no colour.
  still = "\nconst still = new CSSStyleSheet(); still.replaceSync('* { transition: none !important }'); " \
          'document.adoptedStyleSheets = [still];'
  audit = <<~JS
    const [options, done] = arguments;
    axe.run(document, { resultTypes: ['violations'], preload: false, ...options })
      .then(found => done(found.violations.map(rule => `${rule.id}: ${rule.nodes[0].html.slice(0, 120)} ${rule.nodes[0].failureSummary}`)));
  JS
  # What another width can change, or a long name: what is too small to hit, what scrolls, what is shown at all.
  of_width = { runOnly: %w[target-size scrollable-region-focusable landmark-one-main page-has-heading-one heading-order region] }
  colours = { runOnly: ['color-contrast'] }

  # @param widths [Hash{Integer=>Hash, nil}] with what axe is asked at each, nil for nothing
  # @return [Array<String>] what is wrong with a page at each of these widths
  define_method(:faults) do |path, widths|
    visit path
    execute_script(axe_source + still) if widths.values.any?
    found = widths.flat_map do |width, asked|
      Browser.size(page, width, 800)
      wide, meet = evaluate_script("(() => { #{measure} })()")
      too_wide = wide.positive? ? ["#{wide} px wider"] : []
      violations = asked ? evaluate_async_script(audit, asked) : []
      [*too_wide, *meet.map { |pair| "meet: #{pair}" }, *violations].map { |fault| "at #{width}: #{fault}" }
    end
    found.concat(evaluate_script('document.body.innerText').scan(/no words[^\n]*|%\{\w+\}|%<\w+>|\bnil\b|#<\w|NaN|Infinity/))
    found.concat(evaluate_script(ringless.strip.delete_suffix(';')).map { |thing| "no ring: #{thing}" }) if widths.value?({})
    # Where light is looked at, dark is as well; paper stays white.
    if widths.value?({}) && page.has_no_css?('body.paper', wait: 0)
      execute_script("document.documentElement.dataset.bsTheme = 'dark'")
      found.concat(evaluate_async_script(audit, colours).map { |fault| "dark: #{fault}" })
    end
    found.map { |fault| "#{path} #{fault}" }
  end

  it 'finds no fault in the demo' do
    open_studio
    of_class = ->(id) { places.map { |place| "/classes/#{id}#{place}" } }
    found = [*pages, *of_class.(1), '/classes/4'].flat_map { |path| faults(path, { 390 => {}, 820 => nil, 1280 => of_width }) }
    # These have the same pages, with other things or less on them.
    found += [*of_class.(4), *of_class.(3)].flat_map { |path| faults(path, { 390 => of_width, 820 => nil, 1280 => nil }) }
    expect(found).to eq([])
  end

  it 'finds none with long names, a class of nobody, one that cannot be built and every project' do
    open_studio
    person = Core::People::Attendee.new(key: '0', name: 'Wilhelmina-Alexandrina Featherstonehaugh-Cholmondeley', level: 3)
    crowd = Array.new(24) { |i| person.with(name: "#{person.name} #{i}", measures: i.odd? ? { wrist: mm(150 + i) } : {}) }
    workshop = studio.classes.find(1).state.workshop.with(title: 'A very long title ' * 6)
    make = ->(people, saved) {
      studio.classes.create(Store::ClassState.new(workshop: workshop, project_version_id: saved.id, attendees: people))
    }
    saved = studio.projects.newest
    ids = [make.(crowd, saved.first), make.([], saved.first), *saved.map { |project| make.([person], project) }]
    odd = studio.projects.save(saved.first.design.with(key: 'odd', name: 'Odd', components: []))
    ids << make.([person], odd)
    crowded = places.map { |place| "/classes/#{ids.first}#{place}" }
    bare = [ids[1], ids.last].product(places).map { |id, place| "/classes/#{id}#{place}" }
    found = [*crowded, '/'].flat_map { |path| faults(path, { 390 => of_width, 1280 => nil }) }
    found += [*bare, '/projects', *ids[2...-1].map { |id| "/classes/#{id}" }].flat_map { |path| faults(path, { 390 => nil }) }
    expect(found).to eq([])
  end
end
