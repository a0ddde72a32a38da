# frozen_string_literal: true

module Store
  # One installation's data: the way into everything that is stored. It keeps rows and works nothing out.
  class Studio
    # What holds for the whole studio.
    #
    # @param unit :mm or :in, lengths are shown in it
    # @param open_rings :warn or :forbid, what to make of a line in a ring that is not soldered
    # @param revision raised by every change of anything;
    # @param catalogue_revision by changes of those
    # @param supply_revision see catalogue_revision
    # @param names_months after how many held classes lose the names of who came, nil for never
    # @param copies_kept of those taken by themselves
    # @param fade_months after so many a class counts half in what is learnt, nil: always the same
    Settings = Core::Value.define(:name, :unit, :open_rings, :currency, :calibration, :revision, :catalogue_revision, :supply_revision,
      names_months: nil, copies_kept: Backups::KEEP, fade_months: nil)

    # Asked for by every request, so past all that builds queries.
    REVISION = 'SELECT revision FROM studio'

    # What keeps each kind of row, by the name it is asked for.
    KEEPERS = {
      catalogue: Catalogue, projects: Projects, classes: Classes, drafts: Drafts, ledger: Ledger, market: Market, packing: Packing,
      orders: Orders, seat_costs: FrozenSeatCosts, idempotency_keys: IdempotencyKeys, seeded: SeededItems, result_cache: ResultCache,
      live_events: LiveEvents, lessons: Lessons, accounts: Accounts, audit_log: AuditLog, invitations: Invitations
    }.freeze

    attr_reader :database, *KEEPERS.keys

    # @param path [String] see Database.open @yield see there
    def initialize(path, &outdated)
      @database = Database.open(path, &outdated)
      @database[:studio].insert_conflict.insert(id: 1, name: 'My studio', unit: 'mm')
      KEEPERS.each { |name, keeper| instance_variable_set(:"@#{name}", keeper.new(@database)) }
    rescue Sequel::DatabaseError => e
      @database.disconnect
      raise UnusableDatabase.of(e, path)
    end

    # @return [Settings]
    def settings
      row = @database[:studio].first
      Settings.new(name: row[:name], unit: row[:unit].to_sym, open_rings: row[:open_rings].to_sym, currency: row[:currency],
        revision: row[:revision], names_months: row[:names_months], copies_kept: row[:copies_kept], fade_months: row[:fade_months],
        catalogue_revision: row[:catalogue_revision], supply_revision: row[:supply_revision],
        calibration: Core::Data::Records::CALIBRATION.read(JSON.parse(row[:calibration])))
    end

    # @return [Integer] changes whenever anything does, cheaply
    def revision
      @database.synchronize { |connection| connection.get_first_value(REVISION) }
    end

    # @param calibration [Core::Setup::Calibration]
    def calibrate(calibration)
      update(calibration: JSON.generate(Core::Data::Records::CALIBRATION.write(calibration)))
    end

    def update(**settings)
      write { @database[:studio].update(settings) }
    end

    # Posts entries to the ledger. What classes learned of rejects holds for the lot on the shelf only: a delivery ends it.
    # @param entries [Array<Core::Supply::Entry>] @raise [Shortfall]
    def shelve(entries)
      write do
        ledger.post(entries)
        came = entries.select { |entry| entry.kind == :part && entry.reason == :received && entry.quantity.positive? }.map(&:item)
        known = settings.calibration.rejects.keys & came
        next if known.empty?

        calibrate(settings.calibration.without_rejects(known))
        known.each { |key| lessons.forget("lot/#{key}") }
      end
    end

    # See Database.write: several changes that stand or fall together.
    def write(&block)
      Database.write(@database, &block)
    end

    # Saves a class file's contents: parts and techniques the studio lacks, its project and its class.
    # @param inputs [Core::Planning::Inputs] @param events [Array<Core::Live::Event>] that were tapped in it @return [Integer] the new
    #   class's id
    def import(inputs, events = [])
      write do
        Importing.new(self).call(inputs).tap { |id| live_events.append_all(id, events) if events.any? }
      end
    end

    # See Database.compact.
    def compact
      Database.compact(@database)
    end

    def close
      @database.disconnect
    end
  end
end
