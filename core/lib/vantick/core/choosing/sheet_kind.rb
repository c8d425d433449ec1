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
        # @return [Integer] exercises as a rule, at most, and side by side
        attr_reader :count, :most, :columns

        # @return [Array<SheetKind>]
        def self.all
          @all ||= Facts::DataFile.entries("sheets", required: %i[id name count most columns]).map { |entry| new(entry) }.freeze
        end

        # @param id [String, Symbol]
        # @return [SheetKind]
        # @raise [UnknownName]
        def self.find(id)
          all.find { |kind| kind.id.to_s == id.to_s } || raise(UnknownName.new("kind of sheet", id, all.map(&:id), field: :kind))
        end

        def initialize(entry)
          @id = entry[:id].to_sym
          @name = entry[:name]
          @tasks = entry[:tasks].map { |task| Marking::Task.find(task) }.freeze
          @count, @most, @columns = entry.values_at(:count, :most, :columns)
          freeze
        end

        # @return [Boolean] whether its answers can be typed in
        def answered? = tasks.any? && id != :cards

        # @param step [Step]
        # @return [Array<Task>] those that the step can be asked with
        def tasks_for(step) = tasks & step.tasks

        # @param task [Task, nil]
        # @return [String] what stands above its exercises; empty where nothing does
        def direction(task, conventions = Wording::Conventions.default)
          Wording::ClassWords.fill(WORDS[:directions].fetch(task ? task.id : id, ""), conventions)
        end
      end
    end
  end
end
