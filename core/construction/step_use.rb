# frozen_string_literal: true

module Core
  module Construction
    # A piece of work. after: keys of steps that must be done before · effort: times the technique's usual time
    # preparable: can be done before class · text: wording key · values: what its wording says
    # closing: the step after which the component can no longer take anything on
    StepUse = Value.define(:key, :technique, :repeats, :text,
                           after: [].freeze, effort: 1, preparable: false, checkpoint: false, cautions: [].freeze, values: {}.freeze)
  end
end
