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
      data['closures'].each { |d| studio.catalogue.save_closure(closure(d)) }
      data['projects'].each { |d| studio.projects.save(R::DESIGN.read(d)) }
    end

    # @param data [Hash] @return [Store::Catalogue::Closure]
    def closure(data)
      Store::Catalogue::Closure.new(key: data['key'], name: data['name'], first: data['first'], last: data['last'],
        takes_clasp: data['takes_clasp'] || false)
    end

    def classes(studio)
      data = JSON.parse(File.read(File.join(__dir__, 'classes.json')))
      studio.update(name: data['studio']['name'])
      data['classes'].each do |d|
        studio.classes.create(Store::ClassState.new(workshop: R::WORKSHOP.read(d), project_version_id: studio.projects.find(d['project']).id,
          attendees: d['attendees'].map { |a| R::ATTENDEE.read(a) }))
      end
      supply(studio)
    end

    def supply(studio)
      data = JSON.parse(File.read(File.join(__dir__, 'supply.json')))
      money = ->(minor) { Core::Money.new(minor: minor, currency: data['currency']) }
      data['suppliers'].each { |d| studio.market.save_supplier(R::SUPPLIER.read(d.merge('delivery' => money.(d['delivery']), 'minimum' => money.(d['minimum'])))) }
      studio.market.save(data['offers'].map { |d| R::OFFER.read(d.merge('price' => money.(d['price']))) })
      studio.ledger.post(data['stock'].map { |d| R::ENTRY.read(d) })
    end
    private_class_method :supply
  end
end
