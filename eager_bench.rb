# frozen_string_literal: true

require 'digest'
require 'zeitwerk'

# Maps the top folders to constants: core/ to Core, store/ to Store, application/ to Application, formats/ to Formats, standins/ to
# Standins, web/ to Web.
# Each entry point loads only the parts it needs, so that the core can run and be tested alone.
module EagerBench
  ROOT = __dir__
  PARTS = %i[core formats store application standins web demo].freeze
  # What loads large libraries that most studios never need: read when it is asked for, not at the start.
  SELDOM = %w[web/sign_in web/sign_in.rb web/sign_in_limits.rb formats/studio_file.rb].freeze

  # @param parts [Array<Symbol>] some of PARTS
  def self.load(*parts)
    @loaded ||= []
    fresh = parts - @loaded
    return if fresh.empty?

    @loaded.concat(fresh)
    loader = Zeitwerk::Loader.new
    fresh.each { |part| mount(loader, part) }
    loader.do_not_eager_load(*SELDOM.map { |file| File.join(ROOT, file) })
    # The layers of the core and its base do not stand in a constant's name.
    loader.collapse(*%w[values piece class values/base].map { |folder| File.join(ROOT, 'core', folder) }) if fresh.include?(:core)
    loader.setup
    teach if fresh.include?(:core)
  end

  # Techniques that a construction brings along stand beside it, with its words, pictures and samples.
  def self.teach
    Core::Construction::Kinds.teaching = lambda do |key|
      path = File.join(ROOT, 'core', 'piece', 'construction', 'kinds', "#{key}.yml")
      # Its words are read when they are said, its samples never.
      File.exist?(path) ? File.read(path, encoding: 'UTF-8')[/^techniques:.*?(?=^\w|\z)/m].to_s : ''
    end
  end

  # @return [String] names the rules of the job as they are written: what was worked out by others may have come out differently
  def self.rules
    @rules ||= Digest::MD5.hexdigest(Dir[File.join(ROOT, 'core', '**', '*.{rb,yml}')].map { |file| File.binread(file) }.join)
  end

  def self.mount(loader, part)
    folder = File.join(ROOT, part.to_s)
    name = part.to_s.capitalize
    Object.const_set(name, Module.new) unless Object.const_defined?(name)
    loader.push_dir(folder, namespace: Object.const_get(name))
    loader.ignore(*Dir[File.join(folder, '{public,views,migrations}')])
  end
  private_class_method :mount, :teach
end
