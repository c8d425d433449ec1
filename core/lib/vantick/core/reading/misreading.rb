# frozen_string_literal: true

module Vantick
  module Core
    module Reading
      # One step of reading done wrongly, the same way each time: a fault that predicts the answers of a
      # child who has it. After the idea of procedural bugs (Brown and Burton, "Diagnostic models for
      # procedural bugs in basic mathematical skills", Cognitive Science 2, 1978; from memory).
      class Misreading
        TEXTS = %i[name does move home lens child they times].freeze
        # Where no dial is shown, what stands for `child`.
        UNSEEN = :unseen
        # Names of earlier versions, which stored answers may hold; nobody is shown them.
        FORMER = Facts::DataFile.load("former_names")
        # Notations that can be quoted.
        WRITTEN = %i[words digits hour count].freeze
        # A fault in one chain: at which step, at which times, and what the step then gives.
        Fault = Struct.new(:step, :at, :bend, keyword_init: true)

        # @return [Symbol] such as `:to_with_passed_hour`
        attr_reader :id
        # @return [Hash{Symbol => String, Array}] {TEXTS}, each written for its reader
        attr_reader :texts

        # @return [Array<Misreading>] all of them, in the order of the chain
        def self.all = Catalogue.misreadings

        # @param task [Task]
        # @return [Array<Misreading>] those that can show in its answers
        def self.for(task) = all.select { |misreading| misreading.shows_in?(task) }

        # @param times [Array<DialTime, DayTime>]
        # @param task [Task] they are asked with
        # @return [Array<Misreading>] those that can show at some of the times
        def self.showing(times, task) = self.for(task).select { |misreading| times.any? { |time| misreading.chance?(time, task) } }

        # Of several causes of one answer, seldom ones stand back behind those that many children have.
        # @param ids [Array<Symbol>]
        # @return [Array<Symbol>] those that are told
        def self.likeliest(ids) = ids.reject { |id| find(id).seldom? }.then { |often| often.empty? ? ids : often }

        # @param id [String, Symbol]
        # @return [Misreading]
        # @raise [UnknownName]
        def self.find(id)
          @by_name ||= all.to_h { |misreading| [misreading.id.to_s, misreading] }.freeze
          @by_name[id.to_s] || raise(UnknownName.new("misreading", id, all.map(&:id)))
        end

        # @param id [Symbol]
        # @param texts [Hash] {TEXTS}
        # @param faults [Hash{Symbol => Fault}] by chain
        # @param seldom [Boolean, nil] whether few children have it
        def initialize(id, texts, faults, seldom: false)
          @id = id
          @raw = texts
          @texts = Wording::ClassWords.fill(texts)
          @faults = faults.freeze
          @seldom = seldom ? true : false
          freeze
        end

        # @return [Boolean] whether few children have it (common practice, no source): believed later, and no mistake to be spotted
        def seldom? = @seldom

        # @param conventions [Conventions]
        # @return [Hash{Symbol => String, Array}] {TEXTS} as a class says them
        def texts_in(conventions) = Wording::ClassWords.fill(@raw, conventions)

        # @param task [Task]
        # @param conventions [Conventions]
        # @return [String] one sentence to a child who has it: of the dial only where the task shows one
        def child(task, conventions = Wording::Conventions.default)
          texts = texts_in(conventions)
          (texts[UNSEEN] unless task.dial?) || texts[:child]
        end

        # @param conventions [Conventions]
        # @return [Array<String>] its names and sentences of earlier versions, as a class says them
        def former_names(conventions = Wording::Conventions.default) = Wording::ClassWords.fill(FORMER.fetch(id, []), conventions)

        # @param task [Task]
        # @return [Boolean]
        def shows_in?(task) = @faults.key?(task.chain) && task.shows?(id)

        # @return [Array<DialTime, DayTime>] the three times that show it best
        def best_times
          task = Tasks::Task.all.find { |candidate| shows_in?(candidate) }
          texts[:times].map { |time| task.parse_time(time) }
        end

        # @param time [DialTime] what the dial shows
        # @param task [Task]
        # @return [Array<DialTime, SpokenTime>] what a child who has it answers: its own answers where it
        #   shows, the right answer where it does not
        def predicted(time, task)
          fault = @faults[task.chain]
          answers = fault&.at&.call(time) ? bent(time, task, fault) : []
          answers.empty? ? [task.right_answer(time)] : answers
        end

        # @param time [DialTime, DayTime]
        # @param task [Task]
        # @return [Array<DialTime, SpokenTime>] the wrong answers it leads to; none where it tells nothing
        def wrong_answers(time, task)
          predicted(time, task).reject { |answer| task.right?(answer, time) }
        end

        # @param time [DialTime, DayTime]
        # @param task [Task]
        # @return [Boolean] whether an answer at this time could show it
        def chance?(time, task) = Predictions.of(task).wrong_answers(self, time).any?

        # @param time [DialTime]
        # @param tasks [Array<Task>] the first of them in which it shows there counts
        # @param conventions [Conventions]
        # @return [String, nil] what a child who has it answers there; nothing where it does not show, or in hands alone
        # @example
        #   Misreading.find(:to_with_passed_hour).example(Dial::DialTime.parse("7:45")) # "quarter to seven"
        def example(time, tasks: Tasks::Task.all, conventions: Wording::Conventions.default)
          written = tasks.select { |candidate| candidate.asks == :time && WRITTEN.include?(candidate.notation) }
          task = written.find { |candidate| shows_in?(candidate) && chance?(time, candidate) }
          task&.write(Predictions.of(task).wrong_answers(self, time).first, conventions)
        end

        private

        def bent(time, task, fault) = Chain.for(task.chain).answers(time, at: fault.step, &fault.bend)
      end
    end
  end
end
