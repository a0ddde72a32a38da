# frozen_string_literal: true

module Core
  # Frozen values with named fields, as Ruby 3.2's Data gives them; this Ruby is older.
  module Value
    # @param required [Array<Symbol>] fields every instance must be given
    # @param optional [Hash{Symbol=>Object}] fields with their frozen defaults
    # @return [Class] with keyword constructor, readers, #with, #to_h, #field_values in their order, equality by value
    # @raise [ArgumentError] from the class's constructor, on a missing or unknown field
    def self.define(*required, **optional, &body)
      fields = (required + optional.keys).freeze
      Class.new do
        const_set(:FIELDS, fields)
        const_set(:DEFAULTS, optional.freeze)
        attr_reader(*fields)

        include Value

        signature = required.map { |f| "#{f}:" } + optional.keys.map { |f| "#{f}: DEFAULTS[:#{f}]" }
        # Class#new packs keywords into a hash for #initialize, which takes longer than all the rest: they are put in order before it.
        class_eval <<~RUBY, __FILE__, __LINE__ + 1
          def self.new(#{signature.join(', ')})
            super(#{fields.join(', ')})
          end

          def initialize(#{fields.join(', ')})
            #{fields.map { |f| "@#{f} = #{f}" }.join('; ')}
            freeze
          end
          private :initialize

          def with(#{fields.map { |f| "#{f}: @#{f}" }.join(', ')})
            self.class.new(#{fields.map { |f| "#{f}: #{f}" }.join(', ')})
          end

          def to_h
            { #{fields.map { |f| "#{f}: @#{f}" }.join(', ')} }
          end

          def field_values
            [#{fields.map { |f| "@#{f}" }.join(', ')}]
          end

          def hash
            [self.class, #{fields.map { |f| "@#{f}" }.join(', ')}].hash
          end
        RUBY
        class_eval(&body) if body
      end
    end

    def ==(other)
      equal?(other) || (other.instance_of?(self.class) && field_values == other.field_values)
    end
    alias eql? ==
  end
end
