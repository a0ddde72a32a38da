# frozen_string_literal: true

module Formats
  # What a step makes, enlarged or at true size, by what the core says of it.
  module CloseUp
    # @param true_mm [Float, nil] the width at which it is printed at true size; nil where it is enlarged
    Picture = Core::Value.define(:svg, true_mm: nil)

    module_function

    # The first end lies on the left, as in the drawing of the whole; a left-hander works it mirrored.
    # @param step [Core::Making::StepUse] @return [Picture, nil]
    def of(step, title:, left_handed: false)
      case step.pictured
      when Core::Making::LineEnd
        Picture.new(svg: EndSvg.new(step.pictured, title: title, hung: EndSvg.hung_in(step),
          mirrored: step.key.include?('/first') ^ left_handed).to_s)
      when Core::Making::WireEye
        Picture.new(svg: EyeSvg.new(step.pictured, title: title, hung: EndSvg.hung_in(step), mirrored: left_handed).to_s)
      when Core::Making::CordEnd
        Picture.new(svg: CordEndSvg.new(step.pictured, title: title, mirrored: step.key.include?('/start') ^ left_handed).to_s)
      when Core::Making::PegBoard
        board = PegBoardSvg.new(step.pictured, mirrored: left_handed)
        Picture.new(svg: board.to_s, true_mm: board.wide_mm)
      end
    end
  end
end
