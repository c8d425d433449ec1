# frozen_string_literal: true

module Vantick
  module Core
    module Teaching
      # What is settled about a lesson, as plain data: what is stored of it, and what a {LessonPlan} is made from.
      #
      # @!attribute step [String, Symbol]
      # @!attribute task [String, Symbol, nil] nil for the step's usual one
      # @!attribute minutes [Integer] one of {Lesson::LENGTHS}
      # @!attribute seed [Integer]
      # @!attribute opening [Integer] which of the step's openings
      # @!attribute teaching_method [Hash{Symbol => Object}] conventions of {LessonPlan::METHOD} that differ from the class's; `method`
      #   in plain data
      # @!attribute earlier [Array<String, Symbol>] steps to go over first
      # @!attribute pace [Hash{Symbol => Float}] seconds of each kind of item, as this class takes them
      # @!attribute stage_minutes [Hash{Symbol => Integer}]
      # @!attribute activities [Hash{Symbol => Symbol}] by stage
      # @!attribute kept [Hash{Symbol => Array<String, nil>}] by stage, its times; nil is a place to choose for
      # @!attribute pinned [Hash{Symbol => Array<String>}] by stage, times that have to stay
      # @!attribute swapped [Array<String>] times that were taken out
      # @!attribute carried [Array<String>] times that the last lesson left out
      # @!attribute exit_avoid [Array<String>] times of the last exits on the step
      LessonSettings = Struct.new(:step, :task, :minutes, :seed, :opening, :teaching_method, :earlier, :pace, :stage_minutes, :activities,
                                  :kept, :pinned, :swapped, :carried, :exit_avoid, keyword_init: true)

      # See above.
      class LessonSettings
        LISTS = %i[earlier swapped carried exit_avoid].to_h { |name| [name, [].freeze] }
        TABLES = %i[teaching_method pace stage_minutes activities kept pinned].to_h { |name| [name, {}.freeze] }
        USUAL = { opening: 0, **LISTS, **TABLES }.freeze
        private_constant :LISTS, :TABLES

        # @param plain [Hash{Symbol => Object}] what is known; the usual stands for the rest
        # @return [LessonSettings]
        # @example
        #   LessonSettings.of(step: :fives, minutes: 40, seed: 1).opening # 0
        def self.of(plain)
          named = plain.to_h.transform_keys { |name| name == :method ? :teaching_method : name }
          new(**USUAL, **named.slice(*members)).freeze
        end

        # @param changes [Hash{Symbol => Object}] parts by name
        # @return [LessonSettings] with some parts changed
        def with(**changes) = self.class.of({ **to_h, **changes })

        # @return [Hash{Symbol => Object}] plain data, as {of} takes it
        def to_h = super.transform_keys { |name| name == :teaching_method ? :method : name }
      end
    end
  end
end
