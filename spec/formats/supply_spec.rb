# frozen_string_literal: true

require_relative '../studio_helper'
require 'pdf-reader'
require 'stringio'
EagerBench.load(:standins)

RSpec.describe Formats do
  let(:studio) { new_studio }
  let(:plan) { plan_of(1) }

  def prices(text, &progress)
    Formats::PriceList.new(text, studio.catalogue.table, studio.market.all, 'post_findings', &progress)
  end

  def text_of(pdf)
    PDF::Reader.new(StringIO.new(pdf)).pages.map(&:text)
  end

  head = "article,name,unit,content,price,currency\n"
  {
    "name,unit,price\nx,g,1\n" => [:column_missing, { columns: 'amount', headings: 'name, unit, price' }],
    "name,price,cost,unit,content\nx,1,1,g,1\n" => [:column_twice, { column: 'price', headings: 'price, cost' }],
    '' => [:column_missing, { columns: 'name, unit, amount, price', headings: '' }],
    "#{head}\"a,b" => [:bad_quotes, { line: 2 }]
  }.each do |text, problem|
    it("refuses #{text[0, 40].inspect} as #{problem.first}") { expect(prices(text).problem).to eq(problem) }
  end

  {
    'A,2 mm crimp tube silver tone,pieces,50,1.20,EUR' => nil,
    'A,2 mm crimp tube silver tone,pieces,50,-1.20,EUR' => :price_negative,
    'A,2 mm crimp tube silver tone,pieces,0,1.20,EUR' => :amount_unreadable,
    'A,2 mm crimp tube silver tone,pieces,many,1.20,EUR' => :amount_unreadable,
    'A,2 mm crimp tube silver tone,pieces,50,1.20,GBP' => :currency_other,
    'A,2 mm crimp tube silver tone,bucket,50,1.20,EUR' => :unit_unknown,
    'A,2 mm crimp tube silver tone,pieces,50,soon,EUR' => :price_unreadable,
    'A,,pieces,50,1.20,EUR' => :name_missing
  }.each do |row, problem|
    it("says #{problem.inspect} of #{row.inspect}") { expect(prices(head + row).rows.map { |read| read.problem&.first }).to eq([problem]) }
  end

  {
    ['2 mm crimp tube, silver tone', 'pieces'] => ['crimp_2_silver', :sure],
    ['Crimp tubes 2 mm (silver tone)', 'pieces'] => ['crimp_2_silver', :doubtful],
    ['2.2 mm crimp cover, silver tone', 'pieces'] => ['cover_2_silver', :sure],
    ['5 mm crimp tube, silver tone', 'pieces'] => [nil, :none],
    ['0.38 mm coated cable, 19 strands, grey', 'm'] => ['cable_038', :sure],
    ['0.38 mm coated cable, 19 strands, grey', 'pieces'] => [nil, :none]
  }.each do |(name, unit), (item, certainty)|
    it "takes #{name.inspect} by #{unit} for #{item.inspect}, #{certainty}" do
      row = prices("#{head}A,\"#{name}\",#{unit},10,1,EUR").rows.first
      expect([row.offer.item, row.certainty]).to match([item, certainty == :doubtful ? :doubtful : certainty])
    end
  end

  it 'knows again what was matched before, and tells a row that stands twice' do
    studio.market.save([Core::Supply::Offer.new(supplier: 'post_findings', kind: :part, item: 'clasp_12_steel', unit: :piece, amount: 3,
      price: studio.market.all.money(9),
      article: 'Z9 · fancy thing')])
    rows = prices("#{head}Z9,fancy thing,pieces,10,1,EUR\nZ9,fancy thing,pieces,10,2,EUR").rows
    expect([rows.first.offer.item, rows.first.certainty, rows.last.problem]).to eq(['clasp_12_steel', :sure, [:row_twice, { first: 2 }]])
  end

  it 'reads twenty thousand lines and says how far it is' do
    reached = []
    list = prices(head + (1..20_000).map { |i|
      "A#{i},2 mm crimp tube silver tone,pieces,#{i},1.20,EUR\n"
    }.join) { |share| reached << share }
    expect([list.usable.size, reached.size, reached]).to match([20_000, 40, reached.sort])
  end

  it 'reads the made-up list whole, with some rows in doubt' do
    list = prices(File.read(File.join(EagerBench::ROOT, 'standins', 'price_list.csv')))
    expect([list.problem, list.wrong, list.of(:doubtful).any?, list.of(:sure).size > 50]).to eq([nil, [], true, true])
  end

  it 'writes an order that a spreadsheet opens, without formulas' do
    studio.market.save([Core::Supply::Offer.new(supplier: 'stall', kind: :part, item: 'round_12_moon', unit: :piece, amount: 50,
      price: studio.market.all.money(1),
      article: '=HYPERLINK("x")')])
    supply = supply_of(1)
    table = CSV.parse(Formats::OrderCsv.write(supply.order, studio.market.all), headers: true)
    expect(table['article'].compact.grep(/\A=/)).to be_empty
    expect(table['cost'].sum { |cost| (cost.to_r * 100).to_i }).to eq(supply.order.goods.minor)
  end

  describe 'on paper, read back' do
    it 'has a handout for each person with their own numbers' do
      shares = []
      few = plan.with(people: plan.people.first(4))
      pages = text_of(Formats::Pdf::Handouts.new(few, span: 260.0) { |share| shares << share }.render)
      few.people.each do |person|
        text = pages.find { |page| page.include?(person.attendee.name) }
        expect(text).to include('Step by step', "#{person.bead_count} beads", Formats::LengthPrint.call(person.cuts.first.length, :mm))
      end
      expect(shares.size).to eq(4)
    end

    def changed(person, **about)
      person.with(own: person.own.with(attendee: person.attendee.with(**about)))
    end

    # Both are made from one description: every word of the page stands on paper too.
    it 'says on paper all that the page says' do
      people = plan.people.first(3).map { |one| changed(one, needs: Core::People::Needs.new(left_handed: true)) }
      people[1] = changed(people[1], needs: Core::People::Needs.new(low_vision: true))
      paper = text_of(Formats::Pdf::Handouts.new(plan.with(people: people), span: 260.0).render).join(' ').gsub(/\s+/, '')
      people.each do |person|
        blocks = Formats::Handout.new(plan, person, span: 260.0).blocks
        said = blocks.flat_map { |block|
          [block.text, *block.items.flat_map { |item|
            item.is_a?(String) ? [item] : [item.text, item.reason, item.minutes, *item.notes.map(&:text)]
          }]
        }
        words = said.compact.map { |text| CGI.unescapeHTML(text.gsub(%r{</?b>}, '')) }
        # What wraps in one of two columns is read line by line, with the other column between.
        lacking = words.reject { |text| paper.include?(text.gsub(/\s+/, '')) || text.split.all? { |word| paper.include?(word) } }
        expect(lacking).to eq([])
        expect(blocks.map(&:kind)).to include(:title, :drawing, :ticks, :steps, :list, :small)
      end
    end

    Formats::LabelGrid::ALL.each do |grid|
      it "has a label for each kit on #{grid}, and every label on its sheet" do
        pages = text_of(Formats::Pdf::Labels.new(plan, grid: grid, kinds: Core::Supply::Kits.new(plan).letters, skip: 3).render)
        expect(pages.size).to eq((15.0 / grid.each_sheet).ceil)
        plan.people.each { |person| expect(pages.join).to include(person.attendee.name) }
        paper = { 'A4' => [210, 297], 'LETTER' => [215.9, 279.4] }.fetch(grid.paper)
        edges = grid.place(grid.each_sheet - 1).zip([grid.width, grid.height]).map(&:sum)
        expect(edges.zip(paper).map { |edge, side| side - edge }).to all(be >= 0)
      end
    end

    it 'has the order, the cuts, the kits, the tools and the steps on the class sheets' do
      supply = supply_of(1)
      seat = Core::Price::Seat.of(plan, supply, studio.market.all)
      text = text_of(Formats::Pdf::Sheets.new(plan, supply: supply, market: studio.market.all, seat: seat).render).join("\n")
      expect(text).to include('To order', 'To cut', 'Kits', 'Tools', 'Steps', seat.price.to_s, supply.order.total.to_s,
        'Marguerite Oyelaran')
    end

    it 'prints names beyond western Europe' do
      named = plan.with(people: [changed(plan.people.first, name: 'Żółć Łukaszewicz <b>')])
      expect(text_of(Formats::Pdf::Handouts.new(named, span: 260.0).render).first).to include('Żółć Łukaszewicz <b>')
    end
  end

  it 'weighs with noise about the true load, the same for the same seed' do
    scale = -> { Standins::Scale.new(load_mg: 11_200, seed: 3).tap(&:tare).readings(9) }
    expect([scale.call, scale.call.uniq.size > 1]).to eq([scale.call, true])
    expect(scale.call.sort[4]).to be_within(60).of(11_200)
  end
end
