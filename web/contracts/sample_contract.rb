# frozen_string_literal: true

module Web
  module Contracts
    # What a ruler, a scale and a clock said of a sample. Each may be left empty, but not all.
    class SampleContract < Contract
      texts :component, :what, :units, :worn, :length, :cut, :left, :grams, :minutes, :level, :note

      WHAT = %w[swatch whole].freeze
      READ = %i[length cut grams minutes].freeze
      A_LENGTH = 'Give a length, such as 162 mm or 6 3/8 in, or leave it empty.'

      # [keys of components] · repeats: {component => whether a swatch of it can be made} · sized: whether the whole piece has a size
      option :components
      option :repeats
      option :sized

      rule(:component) { key.failure('Choose what you made.') unless components.include?(value) }
      rule(:what, :component) do
        known = WHAT.include?(values[:what]) && (values[:what] == 'whole' || repeats[values[:component]])
        key(:what).failure('Choose the whole piece, or a swatch where it repeats.') unless known
      end
      rule(:units, :what) do
        next unless values[:what] == 'swatch'
        next if values[:units].match?(WHOLE) && values[:units].to_i.between?(1, 1000)

        key(:units).failure('Give how many repeats you made, from 1 to 1000.')
      end
      rule(:worn, :what) do
        next unless values[:what] == 'whole' && sized

        good = SampleContract.mm(values[:worn])&.between?(20, 2000)
        key(:worn).failure('Give the inside length that it was made for, such as 183 mm.') unless good
      end
      %i[length cut left].each do |name|
        rule(name) do
          next if value.empty? || SampleContract.mm(value)&.between?(name == :left ? 0 : 1, 100_000)

          key.failure(A_LENGTH)
        end
      end
      rule(:cut, :left) do
        cut, left = [values[:cut], values[:left]].map { |text| SampleContract.mm(text) }
        next key(:cut).failure('Give how much line you began with, too.') if left && values[:cut].empty?

        key(:left).failure('No more can be left over than was cut.') if cut && left && left >= cut
      end
      rule(:grams) do
        key.failure('Give grams, such as 12.4, or leave it empty.') unless value.empty? || SampleContract.number(value, 5000)
      end
      rule(:minutes) do
        key.failure('Give minutes, such as 35, or leave it empty.') unless value.empty? || SampleContract.number(value, 6000)
      end
      rule(:level) { key.failure('Choose a level from 1 to 5.') unless value.match?(/\A[1-5]\z/) }
      rule(:note).validate(at_most: [120])
      rule(*READ) do
        key(:length).failure('Measure at least one thing.') if READ.all? { |name| values[name].empty? }
      end

      # @return [Float, nil] millimetres
      def self.mm(text)
        Core::Measure::Length.parse(text, default_unit: :mm).to_mm.to_f unless text.to_s.empty?
      rescue Core::Measure::NotALength
        nil
      end

      # @return [Float, nil] above zero
      def self.number(text, most)
        number = text.tr(',', '.').to_f
        number if text.match?(DECIMAL) && number.positive? && number <= most
      end
    end
  end
end
