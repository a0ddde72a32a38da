# frozen_string_literal: true

module Application
  # How well the projects suit the classes, by the digest of all that it is worked out from. Nothing is worked out before it is asked for.
  class Comparisons
    MOST = 16

    # @param studio [Store::Studio] @param runner [Work::Runner] @param results [Results]
    def initialize(studio, runner, results)
      @studio = studio
      @runner = runner
      @results = results
      @jobs = Kept.new(MOST)
    end

    # @return [Work::Job::State] found: [Core::Project::Suitability] as far as it has come, or nil
    def state(id)
      @jobs[digest(@results.of(id))]&.state || Work::Job::UNASKED
    end

    # @return [Work::Job] @raise [Store::NotFound]
    def ask(id)
      result = @results.of(id)
      named = digest(result)
      known = @jobs[named]
      return known if known && !known.failed? && !known.stopped?

      task = Tasks::CompareProjects.new(inputs: group(result), designs: result.projects.map(&:design), market: result.market,
        stock: free_stock(id))
      @jobs[named] = @runner.submit(task, title: 'Projects for this group', about: [:compare, id])
    end

    # The class is gone: nothing about it is worked out any more.
    def drop(id)
      @runner.drop([:compare, id])
    end

    # A usual group, where nobody has signed up yet.
    # @return [Core::Inputs]
    def group(result)
      inputs = result.library.inputs(result.state)
      inputs.attendees.empty? ? inputs.with(attendees: Core::Session::ProjectTime.usual_group(USUAL_GROUP)) : inputs
    end

    USUAL_GROUP = 8

    private

    def digest(result)
      Digest.of([result.id, result.digest(:stored), result.digest(:catalogue), result.digest(:market), result.digest(:projects),
        result.digest(:supply)])
    end

    # What lies on the shelf after all other classes have taken theirs.
    def free_stock(id)
      @results.now.supplies.except(id).values.reduce(@studio.ledger.stock) do |left, supply|
        left.less(Core::Supply::Stock.new(parts: supply.parts.to_h { |one| [one.part.key, one.from_stock] },
          lines: supply.lines.to_h { |one| [one.line.key, one.from_stock] }))
      end
    end
  end
end
