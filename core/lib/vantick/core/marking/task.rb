# frozen_string_literal: true

module Vantick
  module Core
    # What a child sees and in which notation the answer is given.
    class Task
      NOTATIONS = { "digits" => :digits, "words" => :words }.freeze

      # @return [Symbol] such as `:dial_to_words`
      attr_reader :id
      # @return [String] its name for teachers
      attr_reader :name
      # @return [Symbol] `:digits` or `:words`
      attr_reader :notation

      # @return [Array<Task>] all tasks
      def self.all
        @all ||= DataFile.entries("tasks", required: %i[id name sees answers notation]).map { |entry| new(entry) }.freeze
      end

      # @param id [String, Symbol]
      # @return [Task]
      # @raise [UnknownName]
      def self.find(id)
        all.find { |task| task.id.to_s == id.to_s } || raise(UnknownName.new("task", id, all.map(&:id)))
      end

      def initialize(entry)
        @id = entry[:id].to_sym
        @name = entry[:name]
        @notation = NOTATIONS.fetch(entry[:notation]) { raise InvalidData, "tasks.yml: #{id}: #{entry[:notation]}" }
        freeze
      end

      # What the task asks of an answer given as a saying: digits tell the time alone, words also how it was said.
      # @param saying [Saying]
      # @return [DialTime, Saying]
      def answer(saying) = notation == :digits ? saying.time : saying

      # @param answer [DialTime, Saying]
      # @param conventions [Conventions]
      # @return [String] the answer in the task's notation, as the class writes it
      def write(answer, conventions = Conventions.default)
        notation == :digits ? answer.digital(conventions.sign) : answer.words(conventions)
      end

      # @param time [DialTime]
      # @return [DialTime, Saying] the right answer
      def right_answer(time) = answer(Saying.usual(time))
    end
  end
end
