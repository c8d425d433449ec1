# frozen_string_literal: true

module Vantick
  module Core
    module Teaching
      # How many times each stage of a lesson gets, of the step's own and of earlier steps. Where the step's own do
      # not go round (twelve for a single quarter), every stage gets its share of all there are, so that none
      # stands empty while another is full.
      class LessonShares
        # What a stage takes of each.
        Share = Struct.new(:own, :earlier)
        EARLIER = StageMinutes::STAGES.select { |_, stage| stage[:earlier] }.keys.freeze
        # The stage that keeps its number longest: up to half of the step's own times, and a third of all.
        EXIT = :exit
        SHOWN = :show
        # Times of the kind next below in an exit (judgement).
        NEIGHBOURS = 2

        # @param wanted [Hash{Symbol => Integer}] times by stage
        # @param own [Integer] of the step itself, not used yet
        # @param earlier [Integer] of earlier steps, not used yet
        # @return [Hash{Symbol => Share}]
        # @param neighbours [Integer] times of the kind next below, of which an exit takes a few
        def self.of(wanted, own:, earlier:, neighbours: 0) = new(wanted, own, earlier, neighbours).shares

        # @param wanted [Hash{Symbol => Integer}] times by stage
        # @param own [Integer] times of the step itself, not used yet
        # @param earlier [Integer] times of earlier steps, not used yet
        # @param neighbours [Integer] times of the kind next below
        def initialize(wanted, own, earlier, neighbours)
          @neighbours = neighbours
          @wanted = wanted
          @own = own
          @all = own + earlier
        end

        def shares
          return @wanted.to_h { |id, count| [id, EARLIER.include?(id) ? Share.new(0, count) : exit_share(id, count)] } if plenty?

          counts = { **shared_out(@wanted.except(EXIT), @all - exit_count), EXIT => exit_count }
          counts.to_h { |id, count| [id, share(id, count)] }
        end

        private

        # A worked example is one of the step, and of nothing else.
        def share(id, count)
          return exit_share(id, count) if id == EXIT

          Share.new(own_of(id, count), id == SHOWN ? 0 : count - own_of(id, count))
        end

        # One or two of an exit on one kind of times are its neighbours.
        def exit_share(id, count)
          few = id == EXIT && @neighbours.positive? ? [count / 3, NEIGHBOURS].min : 0
          Share.new(count - few, few)
        end

        def plenty? = @wanted.except(*EARLIER).values.sum <= @own && @wanted.values.sum <= @all

        def exit_count = [@wanted.fetch(EXIT, 0), (@own / 2.0).ceil, (@all / 3.0).ceil].min

        # In proportion, whole ones by the largest remainder, none more than it wants.
        def shared_out(wanted, count)
          whole = wanted.values.sum
          return wanted if whole <= count

          exact = wanted.transform_values { |share| share * count / whole.to_r }
          given = exact.transform_values(&:floor)
          more = exact.keys.sort_by.with_index { |id, place| [given[id] - exact[id], place] }.first(count - given.values.sum)
          given.to_h { |id, share| [id, share + (more.include?(id) ? 1 : 0)] }
        end

        # What the exit leaves of the step's own is for showing, trying and working alone alike.
        def own_of(id, count)
          return count if id == EXIT
          return 0 if EARLIER.include?(id)

          stages = @wanted.keys - EARLIER - [EXIT]
          each, over = (@own - exit_share(EXIT, exit_count).own).divmod(stages.length)
          [count, each + (stages.index(id) < over ? 1 : 0)].min
        end
      end
    end
  end
end
