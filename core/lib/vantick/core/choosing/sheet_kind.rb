# frozen_string_literal: true

module Vantick
  module Core
    module Choosing
      # A kind of sheet: what its exercises ask, and how many of them there are.
      class SheetKind
        WORDS = Facts::DataFile.load("sheet_words")

        # @return [Symbol] such as `:draw`
        attr_reader :id
        # @return [String] its name for teachers
        attr_reader :name
        # @return [Array<Task>] those that its exercises can ask; none where it is material without answers
        attr_reader :tasks
        # @return [Integer] exercises as a rule, at least, and at most
        attr_reader :count, :least, :most

        # @return [Array<SheetKind>]
        def self.all
          @all || Facts::Once.make do
            @all ||= Facts::DataFile.entries("sheets", required: %i[id name count most aim]).map { |entry| new(entry) }.freeze
          end
        end

        # @param id [String, Symbol]
        # @return [SheetKind]
        # @raise [UnknownName]
        def self.find(id)
          all.find { |kind| kind.id.to_s == id.to_s } || raise(UnknownName.new("kind of sheet", id, all.map(&:id), field: :kind))
        end

        # @param task [Task]
        # @param count [Integer] exercises
        # @return [SheetKind] how a check is printed that was made without a sheet: few dials are a slip
        def self.of_check(task, count)
          slips = find(:slips)
          slips.tasks.include?(task) && count <= slips.most ? slips : find(:read)
        end

        # @param entry [Hash{Symbol => Object}] of sheets.yml
        def initialize(entry)
          @id = entry[:id].to_sym
          @name = entry[:name]
          @tasks = entry[:tasks].map { |task| Tasks::Task.find(task) }.freeze
          @count, @most = entry.values_at(:count, :most)
          @least = entry.fetch(:least, 1)
          @game = entry.fetch(:game, false)
          @cut = entry.fetch(:cut, false)
          @keyed = @game || entry.fetch(:keyed, false)
          @aim = entry[:aim].to_sym
          @not_for = entry.fetch(:not_for, []).map(&:to_sym).freeze
          @only_for = entry[:only_for]&.to_sym
          freeze
        end

        # @return [Boolean] whether its answers can be typed in
        def answered? = tasks.any? && id != :cards && !game?

        # @return [Boolean] whether it is played: with cards, or called out
        def game? = @game

        # @return [Boolean] whether it has no answers to mark, but a page for the teacher
        def keyed? = @keyed

        # @return [Boolean] whether it is cut up, so that nothing can stand on its back
        def cut? = @cut

        # @return [Boolean] whether it goes over all times of a step; otherwise it takes those that tell most
        def practice? = @aim == :practice

        # @param step [Step]
        # @param task [Task, nil]
        # @return [Integer] the usual number, or what the step has where that is less
        def usual_count(step, task)
          return count unless task
          return [count, GameTimes.pool(step).length].min if game?

          [count, id == :levels ? Levels.most(step, task) : step.pool_for(task).length].min
        end

        # @param step [Step]
        # @return [Array<Task>] those that the step can be asked with
        def tasks_for(step) = @not_for.include?(step.id) || ![nil, step.id].include?(@only_for) ? [] : tasks & step.tasks

        # @param task [Task, nil]
        # @param conventions [Wording::Conventions]
        # @return [String] what stands above its exercises; empty where nothing does
        def direction(task, conventions = Wording::Conventions.default)
          named = task && !game? ? task.id : id
          Wording::ClassWords.fill(WORDS[:directions].fetch(named, ""), conventions)
        end
      end
    end
  end
end
