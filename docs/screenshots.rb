# frozen_string_literal: true

# One picture of each main view, from the demo.
require 'browser_helper'

FOLDER = File.join(EagerBench::ROOT, 'docs', 'screenshots')
VIEWS = {
  'bench' => ['/'], 'class' => ['/classes/1?seat=2'], 'class-people' => ['/classes/1', '#people'], 
  'class-fit' => ['/classes/4'], 'class-order' => ['/classes/1', '#materials h3'], 'class-cost' => ['/classes/1', '#cost'], 'class-steps' => ['/classes/1', '#steps'], 'class-levers' => ['/classes/1', :levers], 'packing' => ['/classes/1/packing'], 'gauge' => ['/gauge?line=0.46+mm&passes=2&line2=0.8+mm&passes2=1&hole=1.2+mm'],
  'class-cuts' => ['/classes/4', '#cuts'], 'handout' => ['/classes/1/handouts', nil, nil, [800, 1000]],
  'class-clock' => ['/classes/1', '#clock'], 'paste' => ['/classes/3/people/paste', :list], 'projects' => ['/projects'], 'stockroom' => ['/stockroom'], 'ladder' => ['/ladder?class=1'], 'composer' => ['/drafts/1'],
  'print' => ['/classes/1/print', nil, nil, [800, 1130]]
}.freeze
LIST = "Who\tWrist\tLevel\tNotes\nIlse Marrow\t158\t1\t\nTomasz Okonjo\t7 1/2 in\t2\tleft-handed\nNoor Bellweather\t17,2\t2\tnickel allergy\nKasimir Thole\t190 in\t9\t\n"

include Studios
include Browsing

session = Capybara::Session.new(:studio, Capybara.app)
studio = open_studio
%w[comet_tail pole_star].each { |key| studio.drafts.begin(studio.projects.find(key).design) }
VIEWS.each do |name, (path, place, theme, size)|
  Browser.size(session, *(size || [1280, 800]))
  session.visit(path)
  if theme
    session.find('button', text: /surroundings/i).click
    session.visit(path)
  end
  if place == :list
    session.execute_script("document.getElementById(\"list\").value = arguments[0]", LIST)
    session.click_on('Read the list')
  elsif place == :levers
    session.click_on('Look for what would help')
    session.find('.levers', wait: 60)
    session.execute_script("[...document.querySelectorAll('h3')].find((h) => h.textContent.includes('What would help')).scrollIntoView()")
  elsif place
    session.has_no_css?('[data-poll]', wait: 20) if place == '#clock'
    session.execute_script('document.querySelector(arguments[0]).scrollIntoView()', place)
  end
  session.save_screenshot(File.join(FOLDER, "#{name}.png"))
  next unless theme

  session.find('button', text: /surroundings/i).click
end
puts "#{VIEWS.size} pictures in docs/screenshots"
