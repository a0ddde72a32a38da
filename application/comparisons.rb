# frozen_string_literal: true

module Application
  # How well the projects suit the classes, by the digest of all that it is worked out from. Nothing is worked out before it is asked for.
  class Comparisons
    MOST = 16
    # People of a usual group, where nobody has signed up yet.
    USUAL_GROUP = 8

    # @param studio [Store::Studio] @param runner [Work::Runner] @param results [Results]
    def initialize(studio, runner, results)
      @studio = studio
      @results = results
      @once = Work::Once.new(runner, MOST)
    end

    # @return [Work::Job::State] found: [Core::Comparison::Suitability] as far as it has come, or nil
    def state(id)
      @once.state(digest(@results.of(id)))
    end

    # @return [Work::Job] @raise [Store::NotFound]
    def ask(id)
      result = @results.of(id)
      @once.ask(digest(result), title: 'Projects for this group', about: [:compare, id]) {
        Tasks::CompareProjects.new(inputs: group(result), designs: result.projects.map(&:design).reject(&:test_piece),
          market: result.market,
          stock: free_stock(id))
      }
    end

    # The class is gone: nothing about it is worked out any more.
    def drop(id)
      @once.drop([:compare, id])
    end

    # Who the class is compared for.
    # @return [Core::Planning::Inputs]
    def group(result)
      inputs = result.library.inputs(result.state)
      inputs.attendees.empty? ? inputs.with(attendees: Core::Comparison::ProjectTime.usual_group(USUAL_GROUP)) : inputs
    end

    # What lies on the shelf after all other classes have taken theirs.
    def free_stock(id)
      @results.now.supplies.except(id).values.reduce(@studio.ledger.stock) do |left, supply|
        parts = supply.parts.to_h { |one| [one.part.key, one.from_stock] }
        lines = supply.lines.to_h { |one| [one.line.key, one.from_stock] }
        left.less(Core::Supply::Stock.new(parts: parts, lines: lines))
      end
    end

    private

    def digest(result)
      Digest.of([result.id, result.digest(:stored), result.digest(:catalogue), result.digest(:market), result.digest(:projects),
        result.digest(:supply)])
    end
  end
end
