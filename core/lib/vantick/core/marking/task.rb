# frozen_string_literal: true

module Vantick
  module Core
    # What a child sees and in which notation the answer is given.
    class Task
      NOTATIONS = { "digits" => :digits, "words" => :words, "hands" => :hands }.freeze

      # @return [Symbol] such as `:dial_to_words`
      attr_reader :id
      # @return [String] its name for teachers
      attr_reader :name
      # @return [Symbol] `:dial`, `:digits` or `:words`: what the child looks at
      attr_reader :sees
      # @return [Symbol] `:digits`, `:words` or `:hands`: how the right answer is written
      attr_reader :notation
      # @return [Symbol] the steps by which the answer is reached, see {Chain}
      attr_reader :chain

      # @return [Array<Task>] all tasks
      def self.all
        @all ||= DataFile.entries("tasks", required: %i[id name sees notation chain]).map { |entry| new(entry) }.freeze
      end

      # @return [Array<Task>] those that begin with a dial
      def self.with_dial = all.select { |task| task.sees == :dial }

      # @param id [String, Symbol]
      # @return [Task]
      # @raise [UnknownName]
      def self.find(id)
        all.find { |task| task.id.to_s == id.to_s } || raise(UnknownName.new("task", id, all.map(&:id)))
      end

      def initialize(entry)
        @id = entry[:id].to_sym
        @name = entry[:name]
        @sees = entry[:sees].to_sym
        @chain = entry[:chain].to_sym
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
        case notation
        when :digits then answer.digital(conventions.sign)
        when :words then answer.words(conventions)
        else answer.to_s
        end
      end

      # @param answer [DialTime, Saying, Hands]
      # @param time [DialTime]
      # @return [Boolean] whether the answer means the time
      def right?(answer, time) = notation == :hands ? Placing.new(time).right?(answer) : answer.time == time

      # @param time [DialTime]
      # @return [DialTime, Saying, Hands] the right answer
      def right_answer(time) = notation == :hands ? time.hands : answer(Saying.usual(time))
    end
  end
end
