# frozen_string_literal: true

module Vantick
  module Core
    module Reading
      # A reading spoken as short steps, in a class's own method and words.
      # Between twelve and one the hour so far is the twelve, so the steps speak of the number passed and
      # never of the smaller one.
      module TalkThrough
        WORDS = Facts::DataFile.load("words")[:talk]

        class << self
          # @param time [DialTime]
          # @param conventions [Conventions]
          # @return [Array<TalkStep>] the hour, the minutes, the hour that is named with "to", and last what is said
          def steps(time, conventions = Wording::Conventions.default)
            parts = [[hour(time)], MinuteTalk.steps(time, conventions)]
            parts.reverse! if conventions.order == :minutes_first
            [*parts.flatten, *coming(time, conventions), say(time, conventions)]
          end

          private

          def hour(time)
            passed = time.hour_passed
            ahead = time.hour_ahead
            hand = { kind: :hand, hand: :hour }
            if time.side == :oclock
              return TalkStep.new(:hour, format(WORDS[:hour_exact], passed:), hand,
                                  { kind: :numeral, numeral: passed })
            end

            TalkStep.new(:hour, format(WORDS[:hour_between], passed:, ahead:), hand, { kind: :gap, from: passed, to: ahead })
          end

          # Whoever counts back names an hour that has not come yet: the one thing that no hand points at.
          def coming(time, conventions)
            return [] unless time.side == :to

            words = format(WORDS[:coming], to: conventions.word(:to), ahead: time.hour_ahead)
            [TalkStep.new(:coming, words, { kind: :numeral, numeral: time.hour_ahead })]
          end

          def say(time, conventions)
            TalkStep.new(:say, format(WORDS[:say], words: Wording::Phrase.usual(time, conventions)),
                         { kind: :hand, hand: :hour }, { kind: :hand, hand: :minute })
          end
        end
      end
    end
  end
end
