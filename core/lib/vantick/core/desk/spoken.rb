# frozen_string_literal: true

module Vantick
  module Core
    module Desk
      # Everything that a child can hear at a device, as pieces of which each has a sound: sentences that are always the same, and the words
      # of which all others are made.
      module Spoken
        TABLE = Facts::DataFile.load("spoken")
        # What is taken for one word: letters, also with a hyphen or an apostrophe inside, or digits.
        WORD = /[a-z]+(?:['’-][a-z]+)*|\d+/
        # Tasks that between them say all that steps of help say.
        TASKS = %i[dial_to_words dial_to_digital digital_to_dial hour_only minute_only spot_mistake].freeze
        FEW = 24
        NUMBERS = [*("0".."60"), *("00".."09")].freeze

        class << self
          # @param text [String]
          # @return [Array<String>] its words in small letters, without signs
          # @example
          #   Spoken.words("It is 7:05, twenty-five to 8 p.m.") # ["it", "is", "7", "05", "twenty-five", "to", "8", "pm"]
          def words(text) = text.downcase.gsub(/(?<=[a-z])\.(?=[a-z])/, "").tr("’", "'").scan(WORD)

          # @return [Hash{String => String}] what the voice is told to say, by words with a space between; sentences and single words
          def pieces = @pieces ||= { **vocabulary, **sentences }.freeze

          # @param text [String]
          # @return [Array<String>] words of it that have no sound; none where all of it can be heard
          def missing(text) = words(text) - pieces.keys

          # @param conventions [Wording::Conventions]
          # @param times [Array<DialTime>]
          # @return [Array<String>] all texts that a class with these conventions can be told, of so many times
          def texts(conventions = Wording::Conventions.default, times: Dial::DialTime.all)
            timed = times.flat_map { |time| of_time(time, conventions) }
            [*fixed, *mistakes(conventions), *strips(conventions), *timed, *of_day(conventions)]
          end

          private

          # Always the same, so each has a sound as a whole.
          def sentences
            whole = fixed.flat_map { |text| text.split(/(?<=[.!?:]) /) } + mistakes(Wording::Conventions.default)
            by_words = whole.reject { |text| text.include?("%{") }.to_h { |text| [words(text), text] }
            by_words.select { |words, _| words.length >= TABLE[:fewest] }.transform_keys { |words| words.join(" ") }
          end

          def vocabulary
            all = variants.flat_map { |conventions, times| texts(conventions, times:) }.uniq
            (all.flat_map { |text| words(text.gsub(/%\{\w+\}/, " ")) } | NUMBERS).to_h { |word| [word, audio_name(word)] }
          end

          def audio_name(word)
            return TABLE[:said][word.to_sym] if TABLE[:said].key?(word.to_sym)

            word.match?(/\A0\d\z/) ? format(TABLE[:oh], digit: word[1]) : word
          end

          # As most classes speak, and each other way by itself: of these an hour and a round of hours have all words.
          def variants
            few = Dial::DialTime.all.select { |time| time.hour_passed == 4 || (time.minute % 20).zero? }
            others = Wording::Conventions::TABLE.flat_map { |id, choices| choices.drop(1).map { |choice| { id => choice } } }
            [[Wording::Conventions.default, Dial::DialTime.all], *others.map { |other| [Wording::Conventions.new(**other), few] }]
          end

          def fixed = @fixed ||= [*leaves(DeskTask::WORDS.except(:pictures, :climbs)), *TABLE[:page]].freeze

          def leaves(value)
            case value
            when Hash then value.except(:id, :entry, :from, :whole).values.flat_map { |part| leaves(part) }
            when Array then value.flat_map { |part| leaves(part) }
            when String then [value]
            else []
            end
          end

          def mistakes(conventions)
            Reading::Misreading.all.flat_map do |misreading|
              tasks = Tasks::Task.all.select { |task| task.shows?(misreading.id) }
              [*tasks.map { |task| misreading.child(task, conventions) }, misreading.texts_in(conventions)[:they]]
            end.uniq
          end

          def strips(conventions)
            all = Curriculum::Step.with_times.select(&:whole?).flat_map { |step| Strips.for(step, conventions) }
            all.flat_map { |strip| [strip.label, *strip.words] }
          end

          def of_time(time, conventions)
            helped = TASKS.flat_map { |id| steps(Tasks::Task.find(id), time, conventions) }
            [Wording::Phrase.usual(time, conventions), time.digital(conventions.sign), *helped]
          end

          # What is asked of halves of the day and of numerals; so many of them have all words.
          def of_day(conventions)
            halves, numerals = { day_halves: :day_half, fives_facts: :numeral_to_minutes }.map do |step, id|
              task = Tasks::Task.find(id)
              Curriculum::Step.find(step).pool_for(task).first(FEW).map { |time| [task, time] }
            end
            answers = halves.map { |task, time| Feedback.answer(task, time, conventions) }
            [*answers, *(halves + numerals).flat_map { |task, time| steps(task, time, conventions) }]
          end

          def steps(task, time, conventions)
            Help.steps(task, time, conventions, mistake: Reading::Misreading.all.first).map(&:sentence)
          end
        end
      end
    end
  end
end
