# frozen_string_literal: true

module Vantick
  module Core
    module Tasks
      # What a child sees and in which notation the answer is given.
      class Task
        # Hours that may be called night (common practice, no source).
        NIGHT = [(0..4), (18..23)].freeze
        # A whole time, a part of one, both hands, or what went wrong together with the time.
        NOTATIONS = %i[digits words hands hour count length day_half mistake].freeze
        # How a part of a time is told from a time.
        PARTS = { hour: :hour_passed.to_proc, count: Wording::Counted.method(:usual), day_half: :half.to_proc,
                  length: :minutes_between_numerals.to_proc }.freeze
        # Which times a task can be asked about.
        ASKS = { time: Dial::DialTime.method(:all), day: Dial::DayTime.method(:all),
                 numerals: Dial::DialTime.method(:between_numerals) }.freeze

        # What is written in words or in digits, as tasks.yml names it.
        FORMS = { words: %i[words dial_and_words], digits: %i[digits dials_and_cards] }.freeze

        # @return [Symbol] such as `:dial_to_words`
        attr_reader :id
        # @return [String] its name for teachers
        attr_reader :name
        # @return [String, nil] what of a step a lesson with it is about, such as "in digits"
        attr_reader :part
        # @return [Symbol] such as `:dial`, `:digits` or `:hour_hand`: what the child looks at
        attr_reader :sees
        # @return [Symbol] one of {NOTATIONS}: how the right answer is written
        attr_reader :notation
        # @return [Symbol] the steps by which the answer is reached, see {Chain}
        attr_reader :chain
        # @return [Symbol] one of {ASKS}' keys
        attr_reader :asks
        # @return [Integer] minutes that an answer may be off; 0 but for estimates
        attr_reader :tolerance_minutes
        # @return [Float] degrees that the hour hand keeps from every numeral it is not exactly on: nearer nobody can tell which side
        #   of it the hand is
        attr_reader :apart_degrees
        # @return [Float, nil] how often a guess is right, where there are few answers to choose from
        attr_reader :guess

        # @return [Array<Task>] all tasks
        def self.all
          @all || Facts::Once.make do
            @all ||= Facts::DataFile.entries("tasks", required: %i[id name sees notation chain]).map { |entry| new(entry) }.freeze
          end
        end

        # @return [Array<Task>] those that begin with a dial and end in a time
        def self.with_dial = all.select { |task| task.sees == :dial }

        # @param id [String, Symbol]
        # @return [Task]
        # @raise [UnknownName]
        def self.find(id)
          @by_name ||= all.to_h { |task| [task.id.to_s, task] }.freeze
          @by_name[id.to_s] || raise(UnknownName.new("task", id, all.map(&:id)))
        end

        # @param asks [Symbol] one of {ASKS}' keys
        # @return [Hash{DialTime, DayTime => true}] what can be asked about, to be looked up
        def self.askable(asks) = (@askable ||= {})[asks] ||= ASKS.fetch(asks).call.to_h { |time| [time, true] }.freeze

        # @param entry [Hash{Symbol => Object}] of tasks.yml
        def initialize(entry)
          @id, @sees, @chain, @notation = entry.values_at(:id, :sees, :chain, :notation).map(&:to_sym)
          @asks = entry.fetch(:asks, :time).to_sym
          raise InvalidData, "tasks.yml: #{id}: #{notation}, #{asks}" unless NOTATIONS.include?(notation) && ASKS.key?(asks)

          @name, @part = entry.values_at(:name, :part)
          @tolerance_minutes = entry.fetch(:tolerance_minutes, 0)
          @guess = entry[:guess]
          @apart_degrees = entry.fetch(:apart_degrees, 0)
          @shown = entry[:misreadings]&.map(&:to_sym)
          freeze
        end

        # @param misreading_id [Symbol]
        # @return [Boolean] whether its answers can show a misreading of its chain
        def shows?(misreading_id) = @shown.nil? || @shown.include?(misreading_id)

        # @return [Boolean] whether a child has a dial before it: to look at, or to set
        def dial? = notation == :hands || !%i[digits words].include?(sees)

        # @return [Boolean] whether the answer is a whole time, in digits or in words
        def whole_time? = %i[digits words].include?(notation)

        # @return [Array<Symbol>] in which forms a time is written in it or in its answer, of `:words` and `:digits`
        def forms = FORMS.select { |_, names| names.intersect?([sees, notation]) }.keys

        # @return [Array<DialTime, DayTime>] every time it can be asked about
        def times = ASKS.fetch(asks).call

        # @param time [DialTime]
        # @return [Boolean] whether what is asked can be seen on its dial
        def seen?(time)
          off = time.dial_time.minute / 2.0
          off.zero? || [off, 30 - off].min >= apart_degrees
        end

        # @param text [String] such as "7:45"; with `asks: day` hours and minutes of the day
        # @return [DialTime, DayTime]
        # @raise [InvalidTime] also for a time it cannot be asked about
        def parse_time(text)
          time = (asks == :day ? Dial::DayTime : Dial::DialTime).parse(text)
          raise InvalidTime, text unless Task.askable(asks)[time]

          time
        end

        # @param form [Symbol] `:digits` or `:words`
        # @return [Task] the same where the answer is written in that form; itself where there is none
        def in_form(form)
          return self if notation == form || tolerance_minutes.positive?

          Task.all.find { |task| task.sees == sees && task.notation == form } || self
        end

        # What the task asks of an answer given as a saying: digits tell the time alone, words also how it was said.
        # @param saying [SpokenTime]
        # @return [DialTime, SpokenTime]
        def answer(saying) = notation == :digits ? saying.time : saying

        # @param answer [DialTime, SpokenTime, Hands, Counted, Integer, Symbol]
        # @param conventions [Conventions]
        # @return [String] the answer in the task's notation, as the class writes it
        def write(answer, conventions = Wording::Conventions.default)
          case notation
          when :digits then answer.digital(conventions.sign)
          when :words, :count, :mistake then answer.words(conventions)
          when :length then Wording::PartReader.minutes(answer)
          when :day_half then Wording::PartReader.day_half_name(answer)
          else answer.to_s
          end
        end

        # @param answer [DialTime, SpokenTime, Hands, Counted, Integer, Symbol]
        # @param time [DialTime, DayTime]
        # @return [Boolean] whether the answer means the time
        def right?(answer, time)
          case notation
          when :hands then Placing.new(time).right?(answer)
          when :count then answer.minute == time.minute
          when :length then answer == right_answer(time) || (right_answer(time).zero? && answer == 60)
          when :day_half then right_half?(answer, time)
          when :hour then answer == time.hour_passed
          else near?(answer, time)
          end
        end

        # The night has two halves of the day in it: the one from noon on, and the one from midnight on.
        # @param answer [Symbol] a half of the day, `:noon`, `:midnight` or `:night`
        # @param time [DayTime]
        def right_half?(answer, time)
          return NIGHT.any? { |hours| hours.cover?(time.index / 60) } if answer == :night

          [time.half, (time.shown_half if time.twelve_hour?)].include?(answer)
        end

        # @param answer [DialTime, SpokenTime]
        # @param time [DialTime]
        # @return [Boolean] whether the two are as near as the task asks
        def near?(answer, time)
          apart = (answer.time.index - time.time.index).abs
          [apart, Dial::DialTime::ROUND - apart].min <= tolerance_minutes
        end

        # @param time [DialTime, DayTime]
        # @return [DialTime, SpokenTime, Hands, Counted, Integer, Symbol] the right answer
        def right_answer(time)
          return time.hands if notation == :hands

          PARTS[notation]&.call(time) || answer(Wording::SpokenTime.usual(time))
        end
      end
    end
  end
end
