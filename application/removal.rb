# frozen_string_literal: true

module Application
  # Takes something out of the stockroom where nothing uses it; else says what does.
  class Removal
    # Something that uses it.
    #
    # @param code :named, :shipped, :entries, :ordered or :packs
    # @param name of what uses it
    # @param count how many
    Use = Core::Value.define(:code, name: '', count: 0)

    # @param studio [Store::Studio]
    def initialize(studio)
      @studio = studio
    end

    # @param table [Symbol] :parts, :lines, :tools, :techniques or :suppliers
    # @return [Array<Use>] nothing when it may go
    def uses(table, key)
      case table
      when :tools then named(techniques.select { |technique| technique.tools.include?(key) })
      when :techniques then shipped(key) || named(built_on(key) + designs_working(key))
      when :suppliers then sold_by(key)
      else [*named(designs(key) + closures(key)), *kept(table, key)]
      end
    end

    # @return [Array<Core::Project::Design>] of projects and of drafts that name it
    def designs(key)
      all_designs.select { |design| named_in?(Core::Data::Records::DESIGN.write(design), key) }
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

    def techniques
      @studio.catalogue.table.techniques.values
    end

    def built_on(key)
      techniques.select { |technique| [*technique.prerequisites, technique.easier].include?(key) }
    end

    def named(items)
      items.map(&:name).uniq.map { |name| Use.new(code: :named, name: name) }
    end

    def counted(code, count)
      Use.new(code: code, count: count) if count.positive?
    end

    # Constructions name techniques that came with the program, for each of their options.
    def shipped(key)
      @studio.seeded.all.include?(['techniques', key]) ? [Use.new(code: :shipped)] : nil
    end

    def all_designs
      @studio.projects.in_use.map(&:design) + @studio.drafts.all.map(&:design)
    end

    # All that names it: a choice, or a step in own words.
    def designs_working(technique)
      all_designs.select { |design| Core::Sizing::Blueprint.techniques(design, @studio.catalogue.table).include?(technique) }
    end

    def closures(key)
      @studio.catalogue.closures.select { |one| named_in?([one.first, one.last], key) }
    end

    # @param data [Hash, Array, Object] as written
    def named_in?(data, key)
      case data
      when Hash then data.any? { |name, value| name == key || named_in?(value, key) }
      when Array then data.any? { |value| named_in?(value, key) }
      else data == key
      end
    end

    def kept(table, key)
      kind = table == :parts ? :part : :line
      [counted(:entries, @studio.ledger.entries(kind, key).size),
       counted(:ordered, @studio.orders.open.count { |order| order.kind == kind && order.item == key })].compact
    end

    def sold_by(supplier)
      [counted(:packs, @studio.market.all.offers.count { |offer| offer.supplier == supplier }),
       counted(:ordered, @studio.orders.open.count { |order| order.supplier == supplier })].compact
    end
  end
end
