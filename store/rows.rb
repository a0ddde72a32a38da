# frozen_string_literal: true

require 'json'

module Store
  # Carries values between a table's rows and the core, along the fields of a Core::Data::Record.
  # Lengths become _nm columns, lists become JSON text, the rest columns of the same name.
  class Rows
    LISTS = %i[texts symbols].freeze

    # @param record [Core::Data::Record]
    def initialize(record)
      @record = record
    end

    # @return [Hash{Symbol=>Object}] a row for this value
    def row(value)
      data = @record.write(value)
      @record.fields.to_h do |name, kind|
        content = data[name.to_s]
        case kind
        when :length then [:"#{name}_nm", content && value.public_send(name).nm]
        when *LISTS then [name, content && JSON.generate(content)]
        else [name, content]
        end
      end
    end

    # @return [Core::Value]
    def value(row)
      @record.read(@record.fields.to_h { |name, kind| [name.to_s, content(row, name, kind)] })
    end

    private

    def content(row, name, kind)
      case kind
      when :length then row[:"#{name}_nm"] && Core::Measure::Length.new(row[:"#{name}_nm"]).to_s
      when *LISTS then row[name] && JSON.parse(row[name])
      else row[name]
      end
    end
  end
end
