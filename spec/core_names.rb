# frozen_string_literal: true

require 'ripper'

# What a file of the core names, resolved as Ruby does it.
class CoreNames
  # @param file [String]
  def initialize(file)
    @file = file
    @found = []
  end

  # @return [Array<(String, String)>] each constant with the file that defines it
  def call
    walk(Ripper.sexp(File.read(@file)), [])
    @found
  end

  private

  def walk(node, nest)
    return unless node.is_a?(Array)

    case node.first
    when :module, :class then enter(node, nest)
    when :const_path_ref, :var_ref, :top_const_ref then name(node, nest)
    else node.each { |below| walk(below, nest) }
    end
  end

  def enter(node, nest)
    inner = (nest.last || Object).const_get(path(node[1]))
    body = node.first == :class ? node.drop(3) : node.drop(2)
    walk(node[2], nest) if node.first == :class
    body.each { |below| walk(below, nest + [inner]) }
  end

  def name(node, nest)
    text = path(node)
    return node.each { |below| walk(below, nest) } if text.nil? || !text.match?(/\A[A-Z]/)

    parts = text.split('::')
    owner = nest.reverse.find { |one| one.const_defined?(parts.first, false) } || nest.last || Object
    at = defined_at(owner, parts) and @found << [text, at]
  end

  # Of Session::Spread::EIGHT_OF_TEN the file that holds the constant, else the one that holds what it stands in.
  def defined_at(owner, parts)
    parts.size.downto(1).each do |number|
      holder = parts.first(number - 1).reduce(owner) { |one, part| one.const_get(part) }
      file = holder.const_source_location(parts[number - 1])&.first
      return file if file
    rescue NameError
      next
    end
    nil
  end

  def path(node)
    case node&.first
    when :const_path_ref then path(node[1])&.then { |before| "#{before}::#{node[2][1]}" }
    when :const_ref, :var_ref, :top_const_ref then node[1][1] if node[1].first == :@const
    end
  end
end
