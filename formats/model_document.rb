# frozen_string_literal: true

module Formats
  # The simulated class as data, from which it can be built again elsewhere; docs/session.md says what each field does. Times are minutes.
  module ModelDocument
    module_function

    # @param model [Core::Session::Model, Core::Session::Impossible, nil] @return [Hash, nil] nil where it cannot be simulated
    def write(model)
      return unless model.is_a?(Core::Session::Model)

      {
        'minutes' => model.minutes, 'helpers' => model.helpers, 'clearing' => model.clearing, 'help_minutes' => model.help_minutes,
        'help_sigma' => Core::Session::Engine::HELP_SIGMA, 'check_minutes' => model.check_minutes, 'sigmas' => model.sigmas,
        'between_sigma' => model.between, 'together_sigma' => model.together,
        'stuck' => model.stuck, 'walking' => model.walking, 'neighbours' => model.neighbours, 'fatigue' => model.fatigue,
        'tires_after' => model.tires_after, 'assistant_pace' => model.assistant_pace, 'put_down' => model.put_down,
        'late_share' => model.late_share, 'late_minutes' => model.late_minutes, 'tools' => model.tools,
        'pauses' => model.pauses.map(&:to_h).map { |pause| pause.transform_keys(&:to_s) },
        'demonstrations' => model.demonstrations.map { |one| { 'technique' => one.label, 'minutes' => one.minutes,
        'quorum' => one.quorum, 'alone' => one.alone } },
        'people' => model.people.map { |one| { 'key' => one.key, 'begins' => one.begins, 'tasks' => one.tasks.map { |task| task(task) } } }
      }
    end

    def task(task)
      {
        'step' => task.label, 'minutes' => task.minutes.to_f.round(4), 'sigma' => task.sigma, 'holds' => task.tools,
          'takes' => task.takes || task.tools,
        'gives' => task.gives || task.tools, 'demonstration' => task.demonstration, 'help' => task.help.round(6),
        'checked' => task.check ? true : false,
        'optional' => task.optional, 'dries' => task.dries, 'needs_dry' => task.needs_dry
      }
    end
    private_class_method :task
  end
end
