# frozen_string_literal: true

require_relative '../studio_helper'

RSpec.describe Formats::KnotCurves do
  # Of knot theory: the open trefoil crosses itself three times; ends that go round each other once and a half cross three times, those of
  # a surgeon's knot five, and its lock three more.
  { 'overhand' => 3, 'overhand_tight' => 3, 'surgeons' => 5, 'surgeons_locked' => 8 }.each do |name, number|
    it "crosses #{number} times in #{name}, over and under in turn" do
      expect(described_class.crossed(name)).to eq(number)
      # Each crossing parts one line: of n lines with c crossings n + c stretches are in sight.
      lines = name.start_with?('surgeons') ? 2 : 1
      drawn = described_class.draw(name).scan('stroke="#12161f"').size
      expect(drawn).to eq(number + lines)
    end
  end

  described_class.names.each do |name|
    it "keeps #{name} within its picture, and draws more of it as it is worked" do
      xs, ys = described_class.places(name).transpose
      expect([xs.min, xs.max, ys.min, ys.max]).to match([be >= 0.5, be <= 39.5, be >= 0.5, be <= 27.5])
      inks = [0.3, 1.0].map { |upto| described_class.draw(name, upto).scan(/\d+\.\d/).size }
      expect(inks.first).to be < inks.last
      expect(described_class.draw(name).bytesize).to be < 8000
    end
  end
end
