# frozen_string_literal: true

module Vantick
  module Core
    module Marking
      # Judges what a child says of someone's mistake: what went wrong, and the right time. Written with a
      # semicolon between, in either order: "to_with_passed_hour; quarter to eight".
      module MistakeMarker
        BETWEEN = /\s*;\s*/

        class << self
          # @param task [Tasks::Task]
          # @param time [DialTime] what the dial showed
          # @param text [String] the answer exactly as given
          # @param said [String] what someone said it shows
          # @param conventions [Conventions]
          # @return [MarkedAnswer]
          # @raise [AnswerTooLong]
          # @raise [InvalidSaid] where what was said is no misreading of the dial
          def mark(task:, time:, text:, said:, conventions: Wording::Conventions.default)
            causes = causes(time, said.to_s, conventions)
            raise AnswerTooLong.new(text.length, Wording::AnswerReader::LONGEST) if text.length > Wording::AnswerReader::LONGEST

            named, rest = text.split(BETWEEN).partition { |part| named(part, conventions) }
            read = read(time, rest.join(" "), conventions)
            # One cause: whoever names several has not said which.
            ids = named.map { |part| named(part, conventions).id }.uniq
            judged(task, read, verdict(read, ids.one? && causes.include?(ids.first), text), conventions)
          end

          private

          # @return [Array<Symbol>] ids of the misreadings that lead to what was said
          def causes(time, said, conventions)
            found = read(time, said, conventions)
            raise InvalidSaid.new(said, time) unless found.verdict == :misread

            found.misreadings
          end

          def named(part, conventions)
            plain = part.strip.downcase
            Reading::Misreading.all.find do |misreading|
              [misreading.id.to_s, *names(misreading), *names(misreading, conventions)].map(&:downcase).include?(plain)
            end
          end

          def names(misreading, conventions = Wording::Conventions.default)
            [*misreading.texts_in(conventions).values_at(:name, :they), *misreading.former_names(conventions)]
          end

          # In digits where it is written so, as a mistake may show in digits alone.
          def read(time, text, conventions)
            digits = Wording::AnswerReader.read(text, conventions).any?(&:digits?)
            Marker.mark(task: Tasks::Task.find(digits ? :dial_to_digital : :dial_to_words), time:, text:, conventions:)
          end

          def verdict(read, fits, text)
            return Wording::AnswerReader.blank?(text) ? :blank : :unreadable if MarkedAnswer::SILENT.include?(read.verdict)
            return read.verdict unless read.read_right?

            fits ? :right : :right_time_only
          end

          # In other words where these are not accepted, the time is not the one that was asked for.
          def judged(task, read, verdict, conventions)
            accepted = read.verdict != :right_other_words || conventions.accepts?(read.verdict)
            MarkedAnswer.new(task:, time: read.time, verdict:, misreadings: read.misreadings, slips: read.slips, read_as: read.read_as,
                             read_short: read.read_short, accepted:)
          end
        end
      end
    end
  end
end
