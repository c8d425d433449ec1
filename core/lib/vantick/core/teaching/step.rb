# frozen_string_literal: true

module Vantick
  module Core
    # A step of the ladder: what is learned there, and the times it is learned with.
    class Step
      # @return [Symbol] such as `:quarters`
      attr_reader :id
      # @return [String] its name for teachers
      attr_reader :name
      # @return [Array<DialTime>] its times in order; empty where the step has none
      attr_reader :pool

      # @return [Array<Step>] the ladder, in order
      def self.all = @all ||= DataFile.entries("ladder", required: %i[id name]).map { |entry| new(entry) }.freeze

      # @return [Array<Step>] those that have times to choose from
      def self.with_times = all.reject { |step| step.pool.empty? }

      # @param id [String, Symbol]
      # @return [Step]
      # @raise [UnknownName] also for a step without times of its own
      def self.find(id)
        with_times.find { |step| step.id.to_s == id.to_s } ||
          raise(UnknownName.new("step", id, with_times.map(&:id)))
      end

      # @param times [Array<DialTime>]
      # @return [Step] the earliest step that has all of them
      def self.holding(times) = with_times.sort_by { |step| step.pool.length }.find { |step| (times - step.pool).empty? }

      def initialize(entry)
        @id = entry[:id].to_sym
        @name = entry[:name]
        @pool = times(entry[:minutes]).freeze
        freeze
      end

      private

      def times(minutes)
        return [] unless minutes

        wanted = minutes[:from].step(minutes[:to], minutes[:every]).to_a
        DialTime.all.select { |time| wanted.include?(time.minute) }
      end
    end
  end
end
