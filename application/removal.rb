# frozen_string_literal: true

module Application
  # Takes something out of the stockroom where nothing uses it; else says what does.
  class Removal
    # @param studio [Store::Studio]
    def initialize(studio)
      @studio = studio
    end

    # @param table [Symbol] :parts, :lines, :tools, :techniques or :suppliers
    # @return [Array<String>] names of what uses it; nothing when it may go
    def uses(table, key)
      case table
      when :tools then named(skills.select { |skill| skill.tools.include?(key) })
      when :techniques then [*shipped(key), *named(built_on(key)), *designs(key)]
      when :suppliers then sold_by(key)
      else [*designs(key), *closures(key), *kept(table, key)]
      end
    end

    # @return [Boolean] whether it went
    def call(table, key)
      @studio.write do
        next false if uses(table, key).any?

        table == :suppliers ? @studio.market.remove_supplier(key) : take_out(table, key)
        true
      end
    end

    private

    def take_out(table, key)
      @studio.market.remove_offers(table, key) if %i[parts lines].include?(table)
      @studio.catalogue.remove(table, key)
    end

    def skills
      @studio.catalogue.table.techniques.values
    end

    def built_on(key)
      skills.select { |skill| [*skill.prerequisites, skill.easier].include?(key) }
    end

    def named(items)
      items.map(&:name)
    end

    # Constructions name techniques that came with the program, whichever of their ways is chosen.
    def shipped(key)
      @studio.shipped.all.include?(['techniques', key]) ? ['ways of making that come with the program'] : []
    end

    # Those of projects and of drafts, by their data.
    def designs(key)
      all = @studio.projects.in_use.map(&:design) + @studio.drafts.all.map(&:design)
      all.select { |design| Core::Data::Records::DESIGN.write(design).to_s.include?(%("#{key}")) }.map(&:name).uniq
    end

    def closures(key)
      @studio.catalogue.closures.select { |one| [one.first, one.last].to_s.include?(%("#{key}")) }.map(&:name)
    end

    def kept(table, key)
      kind = table == :parts ? :part : :line
      entries = @studio.ledger.entries(kind, key).size
      [("#{entries} #{entries == 1 ? 'entry' : 'entries'} of its stock" if entries.positive?),
       ('an open order' if @studio.orders.open.any? { |order| order.kind == kind && order.item == key })].compact
    end

    def sold_by(supplier)
      offers = @studio.market.all.offers.count { |offer| offer.supplier == supplier }
      [("#{offers} #{offers == 1 ? 'pack' : 'packs'} that it sells" if offers.positive?),
       ('an open order' if @studio.orders.open.any? { |order| order.supplier == supplier })].compact
    end
  end
end
