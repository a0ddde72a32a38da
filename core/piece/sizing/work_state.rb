# frozen_string_literal: true

module Core
  module Sizing
    # What of a piece is there after each step of the work: what the step puts on, and what was there before.
    class WorkState
      # @param added [Array<Making::Shape>] by the step @param before [Array<Making::Shape>] by steps before it
      Moment = Value.define(:added, :before)

      # @param piece [Piece] @param steps [Array<Making::StepUse>] in the order of the work
      def initialize(piece, steps)
        @piece = piece
        @places = steps.each_with_index.to_h { |step, place| [step.key, place] }
        @by_owner = steps.group_by { |step| step.component }
        @hanging = steps.select { |step| step.values[:hung]&.any? }
      end

      # @return [Moment, nil] nil where the step puts on nothing that is drawn
      def after(step)
        place = @places[step.key] or return
        owner = step.component
        shown = scene(owner)
        added = shown.select { |_, at| at == place }.map(&:first)
        return if added.empty?

        there = joined(owner, place)
        Moment.new(added: added, before: shown.select { |shape, at| at < place && there.include?(shape.owner) }.map(&:first))
      end

      private

      # What is made apart is drawn alone while it is made.
      # @return [Array<(Making::Shape, Numeric)>] each shape with the place of the step that puts it on
      def scene(owner)
        @scenes ||= {}
        @scenes[whole_owners.include?(owner) ? :whole : owner] ||=
          (whole_owners.include?(owner) ? @piece.layout : alone(owner)).map { |shape| [shape, brought(shape)] }
      end

      def whole_owners
        @whole_owners ||= @piece.layout.map(&:owner).uniq
      end

      def alone(owner)
        work_up = @piece.work_ups[owner]
        work_up ? work_up.layout.map { |shape| shape.with(owner: owner) } : []
      end

      # @return [Numeric] what no step puts on is there at the end
      def brought(shape)
        @brought ||= {}
        @brought[[shape.owner, shape.brought_with, shape.item.key]] ||= @places.fetch(bringing(shape)&.key, Float::INFINITY)
      end

      # What no step of its component gives comes from the bag with the first of them, or with what it hangs in.
      # @return [Making::StepUse, nil]
      def bringing(shape)
        own = @by_owner.fetch(shape.owner, [])
        return hung_by(shape) if own.empty?

        own.find { |step| step.gives.include?(shape.brought_with) } || own.first
      end

      # What was made before and hangs in nothing yet lies aside.
      # @return [Array<String>] components that hang together with one, once the step at this place is done
      def joined(owner, place)
        pairs = joints.select { |at, _| at <= place }.map(&:last)
        found = [owner]
        loop do
          more = pairs.select { |pair| pair.intersect?(found) }.flatten.uniq - found
          break if more.empty?

          found.concat(more)
        end
        found + (whole_owners - joints.flat_map(&:last))
      end

      # @return [Array<(Integer, Array<String>)>] the place of each step that hangs something in, and the components that it joins
      def joints
        @joints ||= @hanging.filter_map do |step|
          owner = step.component
          others = @piece.layout.select { |shape| shape.owner != owner && hangs?(step, shape) }.map(&:owner).uniq
          [@places[step.key], [owner, *others]] if others.any?
        end
      end

      # A clasp that comes from the bag is there when something hangs in it.
      def hung_by(shape)
        @hanging.find { |step| hangs?(step, shape) }
      end

      # Where a row of findings holds such a part itself, that one is meant.
      def hangs?(step, shape)
        own = (@own_items ||= Hash.new { |known, owner|
          known[owner] = @piece.layout.select { |one| one.owner == owner }.map { |one| one.item.key }.uniq
        })[step.component]
        step.values[:hung].any? { |item| item.key == shape.item.key } && !own.include?(shape.item.key)
      end
    end
  end
end
