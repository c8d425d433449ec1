# frozen_string_literal: true

module Vantick
  module Core
    module Teaching
      # How children work in each stage of a lesson: on boards, with small clocks, with a partner. A lesson has more than one way, and
      # one in which they move.
      class Activities
        # @param id [Symbol] one of {Pacing::KINDS}' keys that has words to say
        # @return [Hash] its name, words, material and so on
        def self.find(id) = Pacing::KINDS.fetch(id)

        # @param id [Symbol]
        # @return [Array<String>] what is to be laid out for it
        def self.needs(id) = find(id).fetch(:needs, [])

        # @param kind [Symbol]
        # @param task [Task]
        # @return [Symbol] the kind of item: sentences take longer to write
        def self.kind(kind, task)
          (find(kind)[:in_words] if task.notation == :words)&.to_sym || kind
        end

        # @param stages [Array<Symbol>] of the lesson
        # @param task [Task]
        # @param seed [Integer] lessons with other seeds work in other ways
        # @param plain [Boolean] whether the lesson is a short one: then the quickest ways are taken
        # @param chosen [Hash{Symbol => Symbol}] by stage, what a teacher chose
        # @raise [UnknownName] for a way that the stage does not have
        def initialize(stages:, task:, seed:, plain: false, chosen: {})
          @task = task
          @seed = seed
          @plain = plain
          @choices = stages.to_h { |stage| [stage, fitting(stage)] }
          @chosen = chosen.slice(*stages).to_h { |stage, id| [stage, known(stage, id)] }
          @by_stage = (moving(by_lot.merge(@chosen)) || by_lot.merge(@chosen)).freeze
        end

        # @return [Hash{Symbol => Symbol}] one for each stage
        attr_reader :by_stage

        # @param stage [Symbol]
        # @return [Array<Symbol>] what a teacher can choose among
        def choices(stage) = @choices.fetch(stage)

        private

        def fitting(stage)
          all = StageMinutes::STAGES.fetch(stage)[:doing].map(&:to_sym)
          whole = @task.sees == :dial && @task.asks == :time
          all.select { |id| whole || !Activities.find(id)[:whole] }
        end

        def known(stage, id)
          @choices.fetch(stage).find { |choice| choice == id.to_sym } ||
            raise(UnknownName.new("way to work here", id, @choices.fetch(stage), field: :activities))
        end

        # Each stage another, as far as there are others.
        def by_lot
          @by_lot ||= @choices.each_with_object({}) do |(stage, all), found|
            left = (all - found.values).then { |others| others.empty? ? all : others }
            found[stage] = pick(stage, left)
          end
        end

        # Alone, children write; cards are for a teacher to choose.
        def pick(stage, left)
          return left.min_by { |id| Pacing::SECONDS.fetch(id) } if @plain
          return left.first if StageMinutes::STAGES.fetch(stage)[:doing].first == "written_alone"

          left[@seed % left.length]
        end

        # Where nobody moves, the first stage that can be done moving is.
        def moving(found)
          return if @plain || found.values.any? { |id| Activities.find(id)[:moves] }

          stage, all = @choices.except(*@chosen.keys, :alone).find { |_, ids| ids.any? { |id| Activities.find(id)[:moves] } }
          found.merge(stage => all.find { |id| Activities.find(id)[:moves] }) if stage
        end
      end
    end
  end
end
