# frozen_string_literal: true

module Application
  # A studio's things as one file's content, and what another studio's file would bring here. Accounts, copies and older states stay where
  # they are.
  module StudioArchive
    module_function

    # @param studio [Store::Studio] @return [Formats::StudioFile::Content]
    def of(studio)
      table = studio.catalogue.table
      market = studio.market.all
      settings = studio.settings
      items = {
        parts: table.parts.values, lines: table.lines.values, tools: table.tools.values, techniques: table.techniques.values,
        swatches: table.swatches, closures: studio.catalogue.closures.map(&:to_data), projects: studio.projects.newest.map(&:design),
        suppliers: market.suppliers.values, offers: market.offers, stock: entries(studio.ledger.stock), classes: classes(studio)
      }
      Formats::StudioFile::Content.new(items: items,
        about: { 'name' => settings.name, 'unit' => settings.unit.to_s, 'currency' => settings.currency })
    end

    # @param stock [Core::Supply::Stock] @return [Array<Core::Supply::Entry>] one for each thing that is there
    def entries(stock)
      entry = ->(kind, item, quantity, length) {
        Core::Supply::Entry.new(kind: kind, item: item, quantity: quantity, length: length, reason: :counted)
      }
      stock.parts.map { |item, quantity| entry.(:part, item, quantity, nil) } +
        stock.lines.flat_map { |item, bars| bars.map { |length, quantity| entry.(:line, item, quantity, length) } }
    end

    def classes(studio)
      studio.classes.all.map do |stored|
        Formats::StudioFile::ClassRecord.new(workshop: stored.state.workshop, attendees: stored.state.attendees,
          design: studio.projects.version(stored.state.project_version_id).design, events: studio.live_events.of(stored.id))
      end
    end
    private_class_method :classes
  end
end
