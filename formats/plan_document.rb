# frozen_string_literal: true

module Formats
  # A class's result as JSON: the same numbers the pages show. The schema is docs/formats/plan.v2.schema.json.
  # Lengths are numbers of millimetres, names end in _mm; times are minutes, names end in _minutes.
  module PlanDocument
    FORMAT = 'eager-bench.plan'
    VERSION = 2

    module_function

    # @param result [Application::ClassResult] of a class that can be built @return [Hash] ready for JSON
    def write(result)
      plan = result.plan
      {
        'format' => FORMAT,
        'version' => VERSION,
        'class' => Core::Data::Records::WORKSHOP.write(plan.workshop).except('note'),
        'project' => { 'key' => plan.design.key, 'name' => plan.design.name, 'version' => plan.design.version },
        'verdicts' => result.verdicts.map { |v| verdict(v) },
        'attendees' => plan.people.map { |p| person(p) },
        'materials' => plan.needs.map { |n| need(n).merge(spares(plan.spares[n.part])) },
        'lines' => plan.line_totals.map { |line, total| line(plan, line, total) },
        'tools' => plan.tools.map { |t| tool(t) },
        'steps' => plan.steps.map { |s| step(s) },
        'if_nobody_waited' => unwaited(plan),
        'simulation' => simulation(plan, result.forecasting),
        'model' => ModelDocument.write(result.model),
        'order' => result.supply && order(result.supply.order),
        'seat' => result.seat_costs && seat(result.seat_costs),
        'calibration' => calibration(result)
      }.compact
    end

    def verdict(verdict)
      { 'code' => verdict.code.to_s, 'status' => verdict.status.to_s, 'subjects' => verdict.subjects, 'text' => Wording.verdict(verdict) }
    end

    def person(person)
      base = {
        'key' => person.attendee.key,
        'name' => person.attendee.name,
        'level' => person.attendee.level,
        'flags' => person.attendee.flags.map(&:to_s),
        'size_assumed' => person.assumed
      }
      person.fitted? ? base.merge(fitted(person)) : base.merge('state' => 'out_of_reach', 'why' => Wording.unfitted(person.piece))
    end

    def fitted(person)
      piece = person.piece
      {
        'state' => 'fitted',
        'repeats' => piece.repeats,
        'beads' => person.bead_count,
        'measure_mm' => person.measure.to_mm,
        'ease_mm' => person.ease.to_mm,
        'worn_mm' => piece.worn.to_mm,
        'on_line_mm' => piece.on_line.to_mm,
        'beaded_mm' => beaded(piece).to_mm,
        'inside_mm' => piece.inside.to_mm,
        'play_mm' => piece.play.to_mm,
        'deviation_mm' => piece.deviation.to_mm,
        'working' => person.working.map { |t| term(t) },
        'materials' => person.needs.map { |n| need(n) },
        'cuts' => person.cuts.map { |c| cut(c) },
        'tools' => person.tools.map { |key, count| { 'tool' => key, 'count' => count } },
        'fit' => person.findings.map { |f| finding(f) },
        'carries' => carries(person),
        'hangs' => hangs(person),
        'work_minutes' => person.working_minutes.round(2),
        'steps' => person.tasks.map { |t| { 'step' => t.step.key, 'kind' => t.kind.to_s, 'minutes' => t.minutes.to_f.round(2) } },
        'spared' => person.spared.map { |step, reason| { 'step' => step.key, 'reason' => reason.to_s } }
      }
    end

    # @return [Array<Hash>] lines and joints, the one first of whose strength a tug asks for most
    def carries(person)
      Core::Fit::Carrying.new(person.piece, person.findings).links.map do |link|
        { 'name' => link.name, 'grams' => link.grams, 'holds_grams' => link.holds, 'share' => link.share.round(4) }
      end
    end

    # @return [Hash, nil]
    def hangs(person)
      case hang = Core::Sizing::Hung.on(person.body, person.piece, person.measure)
      when Core::Sizing::Hang
        { 'fall_mm' => hang.fall.round(1), 'aside_mm' => hang.aside.round(1), 'pull_grams' => hang.pull.round(1) }
      when Core::Sizing::WristHang
        { 'gap_mm' => hang.gap.round(1), 'uneven' => hang.uneven.round(4), 'lies_below' => hang.lies_below&.key }
      end
    end

    # @return [Core::Measure::Length] what lies between the ends
    def beaded(piece)
      Core::Measure::Length.sum(piece.work_ups.values.map(&:lengths).select(&:repeats).map(&:beaded))
    end

    def term(term)
      {
        'operation' => term.operation.to_s,
        'code' => term.code.to_s,
        'mm' => term.length&.to_mm,
        'values' => term.values.to_h { |k, v| v.is_a?(Core::Measure::Length) ? ["#{k}_mm", v.to_mm] : [k.to_s, v] }
      }
    end

    def line(plan, line, total)
      data = { 'line' => line.key, 'name' => line.name, 'total_mm' => total.to_mm }
      return data unless line.reel_length

      cuts = plan.reels(line)
      reels = cuts.bars.map { |bar| bar.pieces.map { |piece| { 'for' => piece.owner, 'length_mm' => piece.length.to_mm } } }
      data.merge('reel_mm' => line.reel_length.to_mm, 'reels' => reels, 'proven' => cuts.proven?, 'bound' => cuts.bound)
    end

    def spares(spares)
      { 'spares_shared' => spares.shared, 'spares_bagged' => spares.bagged }
    end

    def need(need)
      { 'part' => need.part.key, 'name' => need.part.name, 'count' => need.count }
    end

    def cut(cut)
      {
        'line' => cut.line.key,
        'role' => cut.role.to_s,
        'count' => cut.count,
        'length_mm' => cut.length.to_mm,
        'exact_mm' => cut.exact.to_mm,
        'body_mm' => cut.body.to_mm,
        'slack_mm' => cut.slack.to_mm,
        'consumption_mm' => cut.consumption.to_mm,
        'tails_mm' => cut.tails.to_mm
      }
    end

    def finding(finding)
      {
        'rule' => finding.rule.to_s,
        'status' => finding.status.to_s,
        'code' => finding.code.to_s,
        'margin_mm' => finding.margin&.to_mm,
        'at_mm' => finding.at&.round(2),
        'text' => Wording.finding(finding),
        'cures' => finding.cures.map { |c| Wording.cure(c) },
        'missing' => finding.missing.map { |item, measure| { 'item' => item.key, 'measure' => measure.to_s } },
        'defaults' => finding.defaults.map(&:to_s)
      }
    end

    def tool(need)
      {
        'tool' => need.tool.key,
        'name' => need.tool.name,
        'users' => need.users,
        'needed' => need.needed,
        'brought' => need.brought,
        'on_hand' => need.on_hand,
        'missing' => need.missing,
        'at_once' => need.at_once,
        'shared' => need.shared?
      }
    end

    def step(step)
      {
        'number' => step.number,
        'key' => step.step.key,
        'technique' => step.technique.key,
        'level' => step.technique.level,
        'after' => step.step.after,
        'checkpoint' => step.step.checkpoint ? true : false,
        'tools' => step.tools.map(&:key),
        'cautions' => step.cautions.map(&:to_s),
        'text' => Wording.step(step.step),
        'reason' => step.reason.code.to_s,
        'minutes_by_level' => step.minutes_by_level.to_h { |level, minutes| [level.to_s, minutes.round(2)] }
      }
    end

    def unwaited(plan)
      timetable = plan.timetable
      {
        'needed_minutes' => timetable.needed_minutes.round(2),
        'spare_minutes' => timetable.spare_minutes.round(2),
        'ends' => (plan.workshop.start + timetable.needed_minutes).to_s,
        'last' => timetable.last_attendee
      }
    end

    def simulation(plan, state)
      found = state.found
      return { 'state' => 'awaited' } if found.nil?
      return {
        'state' => 'impossible',
        'code' => found.code.to_s,
        'why' => Wording.say("impossible.#{found.code}", **found.values)
      } if found.is_a?(Core::Session::Impossible)

      {
        'state' => state.running ? 'refining' : 'done',
        'runs' => found.runs,
        'chance' => found.chance.round(4),
        'standard_error' => found.standard_error.round(4),
        'ends_minutes' => ends(found),
        'late_end' => (plan.workshop.start + found.end_at(0.9)).to_s,
        'last' => found.most_often_last,
        'attendees' => found.finishes.keys.map { |key|
          { 'key' => key, 'chance' => found.chance_of(key).round(4), 'half_minutes' => found.finish_at(key, 0.5).round(2) }
        }
      }
    end

    def order(order)
      {
        'total' => money(order.total),
        'delivery' => order.delivery.map { |supplier, cost| { 'supplier' => supplier, 'cost' => money(cost) } },
        'proven' => order.proven,
        'unoffered' => order.unoffered.map { |item, count| { 'item' => item.key, 'count' => count } },
        'purchases' => order.purchases.map do |bought|
          {
            'supplier' => bought.offer.supplier,
            'item' => bought.item.key,
            'packs' => bought.number,
            'units' => bought.units,
            'wanted' => bought.wanted,
            'cost' => money(bought.cost),
            'length_mm' => bought.length&.to_mm,
            'also' => (bought.also unless bought.also.empty?)
          }.compact
        end
      }
    end

    def seat(seat)
      {
        'people' => seat.people,
        'total' => money(seat.total),
        'price' => seat.price && money(seat.price),
        'break_even' => seat.break_even
      }.compact
    end

    def money(money)
      { 'minor' => money.minor, 'currency' => money.currency, 'text' => money.to_s }
    end

    # All of it, also what stands at its starting value.
    def calibration(result)
      result.library.calibration.to_h.to_h { |name, value| [name.to_s, value.is_a?(Hash) ? value.transform_keys(&:to_s) : value] }
    end

    def ends(forecast)
      { 'early' => forecast.end_at(0.1).round(2), 'half' => forecast.end_at(0.5).round(2), 'late' => forecast.end_at(0.9).round(2) }
    end
    private_class_method :simulation, :ends, :verdict, :person, :fitted, :carries, :hangs, :beaded, :term, :line, :spares, :need, :cut,
      :finding, :tool, :step, :unwaited, :order, :seat, :money, :calibration
  end
end
