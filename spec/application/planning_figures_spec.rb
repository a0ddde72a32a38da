# frozen_string_literal: true

require_relative '../studio_helper'
require_relative '../support/figures'

# The demo's classes as they are planned: Planner, Fitter, Plan, PersonPlan, Spares, CutPlan, StepOrder, Lists, StepTime, Timetable,
# Readiness, ToolNeed, Seating, Verdicts.
RSpec.describe Core::Planning do
  let(:studio) { new_studio }

  def person(one)
    return { attendee: one.attendee.key, piece: one.piece } unless one.fitted?

    { needs: one.needs, cuts: one.cuts, tools: one.tools, minutes: one.working_minutes, working: one.working,
      spared: one.spared.map(&:last),
      practice: one.practice, findings: one.findings.map { |result| [result.rule, result.status, result.code] },
      tasks: one.tasks.map { |task| [task.step.key, task.kind, task.minutes, task.demonstration_minutes, task.reason, task.holding,
                                     task.step.values] } }
  end

  def plan(one)
    seating = Core::Planning::Seating.new(one.people.map(&:attendee), one.tools).plan
    { people: one.people.to_h { |each| [each.attendee.key, person(each)] }, extras: one.extras.map { |each| person(each) },
      needs: one.needs, spares: one.spares, lines: one.line_totals, tools: one.tools, cost: one.order.cost,
      reasons: one.order.reasons.map(&:code),
      steps: one.steps.map { |step| [step.step.key, step.minutes_by_level, step.numbers.transform_keys(&:key), step.step.values] },
      timetable: one.timetable.to_h, seats: seating.seats.map { |seat| [seat.attendee.key, seat.table, seat.seat, seat.reasons] },
      stations: seating.stations, lacking: one.readiness.people.map { |each| [each.attendee.key, each.lacking] },
      verdicts: Core::Advice::Verdicts.new(one).call }
  end

  it 'plans as when it was last looked at' do
    found = studio.classes.all.to_h { |stored| [stored.id.to_s, plan_of(stored.id)] }.compact.transform_values { |one| plan(one) }
    hard = inputs_of(1)
    teaching = hard.workshop.teaching.with(school: :hardest, shorter: 2, extra: 4, easier: { 'wrapped_loop' => 3 }, practice: true)
    changed = hard.workshop.with(teaching: teaching, tool_sets: 5, supply: hard.workshop.supply.with(extra_kits: 2, spares: :bagged,
      confidence: 99, off_reel: true), session: hard.workshop.session.with(assistants: 1, break_at: 50, poor_light: true))
    expect(Figures.differ('planning', found.merge('changed' => plan(hard.with(workshop: changed).plan)))).to eq([])
  end
end
