# frozen_string_literal: true

module Web
  # One gesture in the composer, read from a form into one change of the design.
  class Gesture
    # place: where the chosen place is after the gesture, as text; nil leaves it · problem: what could not be read, nil for nothing
    attr_reader :place, :problem

    def initialize(studio, params)
      @studio = studio
      @params = params
      @at = Core::Project::Edit::Place.parse(string('at'))
      @place = @at&.to_s
    end

    # @return [Core::Project::Design] the same when the gesture makes no sense here
    def apply(design)
      edit = Core::Project::Edit.new(design)
      name = string('do')
      return in_pattern(design, edit, name) if @at && PATTERN.include?(name)
      return in_chart(design, edit, name.delete_prefix('chart_')) if @at && name.start_with?('chart_')

      OTHERS.key?(name) ? instance_exec(design, edit, &OTHERS[name]) : design
    end

    LONGEST = 2_100
    PATTERN = %w[insert replace replace_alike hang_part earlier later more fewer remove group ungroup fill carry].freeze
    OTHERS = {
      'set' => ->(design, edit) { placed(edit.set(string('component'), settings(design))) },
      'hang' => ->(_, edit) { hung_here(edit) },
      'add' => ->(design, edit) { added(design, edit) },
      'drop' => ->(_, edit) { edit.drop(string('component')) },
      'close' => ->(design, edit) { closed(design, edit) },
      'colourways' => ->(design, _) { coloured(design) },
      'drop_colourway' => ->(_, edit) { edit.drop_colourway(string('name')) },
      'recolour' => ->(design, _) { recoloured(design) }
    }.freeze

    private

    def string(name)
      @params[name].is_a?(String) ? clean(@params[name]) : ''
    end

    def clean(text)
      text[0, LONGEST].dup.force_encoding(Encoding::UTF_8).scrub.delete("\u0000").strip
    end

    def in_pattern(design, edit, name)
      case name
      when 'insert' then inserted(design, edit)
      when 'replace', 'replace_alike' then replaced(design, edit, name.to_sym)
      when 'hang_part' then part_hung(design, edit)
      when 'carry' then carried(design, edit)
      when 'earlier' then moved(design, edit, -1)
      when 'later' then moved(design, edit, 1)
      when 'more' then edit.count(@at, 1)
      when 'fewer' then edit.count(@at, -1)
      else edit.pattern_change(name.to_sym, @at)
      end
    end

    # The start of a row is no item and stays.
    def moved(design, edit, by)
      return design if @at.path.empty?

      follow(@at.path.last + by)
      edit.move(@at, by)
    end

    # The chosen place goes along with what was moved.
    def follow(position)
      @place = @at.with(path: [*@at.path[0...-1], [position, 0].max]).to_s
    end

    def replaced(design, edit, how)
      @at.path.any? && offered?(design) ? edit.public_send(how, @at, string('part')) : design
    end

    # At the middle of what is chosen, by a ring; what faces front with an even number of rings gets a second.
    def part_hung(design, edit)
      return design unless offered?(design)

      part = @studio.catalogue.table.parts[string('part')]
      rings = usual(:findings).fetch('parts') * (part&.faces_with == :even ? 2 : 1)
      edit.add(:findings, { 'parts' => [*rings, { 'part' => string('part') }] }, hung_at: "#{@at.component}@middle")
    end

    # @return [Boolean] whether there is such a part, in the stockroom or made by the design itself
    def offered?(design)
      known?(string('part')) || design.makes.any? { |c| c.part_key == string('part') }
    end

    def inserted(design, edit)
      return design unless offered?(design)

      @place = @at.path.empty? ? @place : @at.next.to_s
      edit.insert(@at, string('part'))
    end

    def carried(design, edit)
      target = Core::Project::Edit::Place.parse(string('to'))
      target && target.path.any? && @at.path.any? ? edit.carry(@at, target) : design
    end

    # @param name [String] paint, insert, remove, mirror, spiral, shift, colour, drop_colour, write or begin
    def in_chart(design, edit, name)
      return begun(design, edit) if name == 'begin'

      row, strand = @at.path
      edit.chart(@at) do |chart|
        case name
        when 'paint' then row && strand ? Core::Project::ChartEdit.paint(chart, row, strand, string('letter')) : chart
        when 'insert', 'remove' then Core::Project::ChartEdit.public_send(name, chart, whole('row'))
        when 'mirror', 'spiral' then Core::Project::ChartEdit.public_send(name, chart)
        when 'shift' then Core::Project::ChartEdit.shift(chart, whole('strand'))
        when 'colour' then known?(string('part')) ? Core::Project::ChartEdit.colour(chart, string('letter'), string('part')) : chart
        when 'drop_colour' then Core::Project::ChartEdit.drop_colour(chart, string('letter'))
        when 'strands' then Core::Project::ChartEdit.strands(chart, strands_of(design))
        when 'write' then Core::Project::ChartEdit.write(chart, string('rows'))
        else chart
        end
      end
    end

    # A chart of one colour, for as many strands as there are.
    def begun(design, edit)
      bead = @studio.catalogue.table.parts.values.find(&:bead?) or return design
      edit.set(@at.component, @at.parameter => Core::Project::ChartEdit.begin(strands_of(design), bead.key))
    end

    def strands_of(design)
      component = design.component(@at.component) or return 8
      component.parameters.fetch('strands', '8').to_i.clamp(1, Core::Construction::Chart::MOST_STRANDS)
    end

    def whole(name)
      string(name).match?(/\A\d{1,3}\z/) ? string(name).to_i - 1 : 0
    end

    def known?(part_key)
      @studio.catalogue.table.parts.key?(part_key)
    end

    # What a component's form holds, as its parameters' data. What does not read as its type stays text, and is marked.
    def settings(design)
      component = design.components.find { |c| c.key == string('component') } or return {}
      Core::Construction::Kinds.fetch(component.construction).parameters.each_value.reject { |p| %i[pattern chart].include?(p.type) }
        .select { |p| @params.key?(p.name.to_s) }.to_h { |p| [p.name.to_s, as_data(p)] }
    end

    def as_data(parameter)
      typed = string(parameter.name.to_s)
      case parameter.type
      when :boolean then typed == '1'
      when :integer then typed.match?(/\A-?\d{1,6}\z/) ? typed.to_i : typed
      else typed.empty? && !parameter.required ? nil : typed
      end
    end

    def added(design, edit)
      construction = Core::Construction::Kinds.keys.find { |key| key.to_s == string('construction') } or return design
      case string('where')
      when 'centre' then edit.add(construction, usual(construction), hung_at: 'centre')
      when 'chosen' then edit.add(construction, usual(construction), hung_at: chosen)
      when 'apart' then edit.add(construction, usual(construction), apart: true)
      else edit.add(construction, usual(construction))
      end
    end

    def usual(construction)
      Core::Construction::Starter.parameters(Core::Construction::Kinds.fetch(construction), @studio.catalogue.table)
    end

    # An empty row of findings begins with a ring.
    def hung_here(edit)
      edit.add(:findings, usual(:findings), hung_at: chosen)
    end

    # @return [String] the chosen item as a place to hang from: each of it, or the middle where only the component is chosen
    def chosen
      return 'centre' unless @at

      @at.path.empty? ? "#{@at.component}@middle" : "#{@at}@each"
    end

    # Where a component hangs, and its own length, as its form says.
    def placed(design)
      key = string('component')
      edit = Core::Project::Edit.new(design)
      hanging = Core::Project::Hanging.parse([string('place'), string('which')].reject(&:empty?).join('@')) if @params.key?('place')
      design = edit.hang(key, hanging) if hanging
      @params.key?('own_length') ? lengthened(Core::Project::Edit.new(design), design, key) : design
    end

    def lengthened(edit, design, key)
      return edit.own_length(key, nil) if string('own_length').empty?

      edit.own_length(key, Core::Measure::Length.parse(string('own_length'), default_unit: :mm))
    rescue Core::Measure::NotALength
      @problem = %("#{string('own_length')[0, 40]}" does not read as a length, so it stays as it was. Write 30 mm, 3 cm or 1 1/4 in.)
      design
    end

    def closed(design, edit)
      closure = @studio.catalogue.closures.find { |c| c.key == string('closure') }
      closure ? edit.close(closure.first, closure.last, takes_clasp: closure.takes_clasp) : design
    end

    # The grid of colourways: a column for each, by its number.
    def coloured(design)
      names = @params['names'].is_a?(Hash) ? @params['names'] : {}
      names.reduce(design) do |now, (column, name)|
        name = name.is_a?(String) ? clean(name)[0, 60] : ''
        name.empty? ? now : Core::Project::Edit.new(now).colourway(name, swaps(column))
      end
    end

    # One thing exchanged in every colourway.
    def recoloured(design)
      from, to = string('from'), string('to')
      return design unless item?(from) && item?(to)

      design.colourways.reduce(design) { |now, (name, swaps)| Core::Project::Edit.new(now).colourway(name, swaps.merge(from => to)) }
    end

    def swaps(column)
      given = @params['swap'].is_a?(Hash) && @params['swap'][column].is_a?(Hash) ? @params['swap'][column] : {}
      given.select { |from, to| item?(from) && to.is_a?(String) && (to.empty? || item?(to)) }.to_h
    end

    def item?(key)
      table = @studio.catalogue.table
      table.parts.key?(key) || table.lines.key?(key)
    end
  end
end
