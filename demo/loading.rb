# frozen_string_literal: true

require 'json'

module Demo
  # Fills a new studio: the starter library always, the made-up evening school's classes when asked for.
  module Loading
    R = Core::Data::Records

    module_function

    # @param studio [Store::Studio] without any project yet
    def library(studio)
      data = JSON.parse(File.read(File.join(__dir__, 'library.json')))
      { parts: R::PART, lines: R::LINE, tools: R::TOOL, techniques: R::TECHNIQUE }.each do |name, record|
        studio.catalogue.save(name, data[name.to_s].map { |d| record.read(d) })
      end
      studio.catalogue.save(:techniques, Core::Construction::Kinds.techniques)
      data['closures'].each { |d| studio.catalogue.save_closure(Store::Catalogue::Closure.read(d)) }
      data['projects'].each { |d| studio.projects.save(R::DESIGN.read(d)) }
    end

    def classes(studio)
      data = JSON.parse(File.read(File.join(__dir__, 'classes.json')))
      studio.update(name: data['studio']['name'])
      school = HiddenStudio.new(**SCHOOL)
      data['classes'].each_with_index do |d, run|
        id = studio.classes.create(state(studio, d))
        studio.live_events.append_all(id, school.teach(inputs(studio, d), run: run)) if d['held']
      end
      supply(studio)
    end

    # What is true of the made-up school's people, and not yet known to its plans.
    SCHOOL = { paces: { 'stringing' => 1.25, 'flat_crimp' => 0.8, 'measuring' => 0.7, 'trimming' => 0.85, 'opening_ring' => 1.2 },
               losses: { 'crimp' => 0.09, 'bead' => 0.008, 'cover' => 0.05 }, between: 0.22, help: 0.35,
               in_a_class: 0.08, longer: 1.5 }.freeze

    def inputs(studio, data)
      Core::Planning::Inputs.new(workshop: R::WORKSHOP.read(data), design: studio.projects.find(data['project']).design,
        attendees: data['attendees'].map { |a| R::ATTENDEE.read(a) }, table: studio.catalogue.table)
    end

    def state(studio, data)
      Store::ClassState.new(workshop: R::WORKSHOP.read(data), project_version_id: studio.projects.find(data['project']).id,
        attendees: data['attendees'].map { |a| R::ATTENDEE.read(a) })
    end

    def supply(studio)
      data = JSON.parse(File.read(File.join(__dir__, 'supply.json')))
      money = ->(minor) { Core::Money.new(minor: minor, currency: data['currency']) }
      data['suppliers'].each { |d| studio.market.save_supplier(R::SUPPLIER.read(d.merge('delivery' => money.(d['delivery']),
        'minimum' => money.(d['minimum'])))) }
      studio.market.save(data['offers'].map { |d| R::OFFER.read(d.merge('price' => money.(d['price']))) })
      studio.ledger.post(data['stock'].map { |d| R::ENTRY.read(d) })
    end
    private_class_method :supply, :inputs, :state
  end
end
