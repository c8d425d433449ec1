# frozen_string_literal: true

require "json_schemer"

module Vantick
  module Server
    module Formats
      # A child's record as a file, from this Vantick or another one (child.schema.json).
      class ChildFile
        SCHEMA = JSON.parse(File.read(File.join(__dir__, "child.schema.json"))).freeze
        MARK = { format: "vantick-child", version: 1 }.freeze
        # No answer is older (judgement: no school has had this file before).
        FIRST_YEAR = 2000
        # Seconds by which another machine's clock may be ahead of this one's (judgement).
        AHEAD = 86_400
        # An answer of the file with what it was asked.
        # @!attribute helped [Boolean] whether help was on the clock
        # @!attribute ruling [Hash, nil] `verdict` and `ruled_at`
        # @!attribute tries [Array<Array(String, String)>] an answer, and when
        AnsweredItem = Struct.new(:step, :task, :time, :text, :at, :said, :mistake, :helped, :ruling, :tries) do
          # @return [Hash] the item that was asked
          def item = { time: time.to_s, step: step.id.to_s, task: task.id.to_s, said:, misreading: mistake, helped: helped ? 1 : nil }
        end

        # @return [String] the child's name
        attr_reader :name
        # @return [String, nil] the id in the school's own system
        attr_reader :source_id
        # @return [Array<AnsweredItem>] oldest first
        attr_reader :answers

        # @param bytes [String]
        # @param now [Time] what lies ahead of it is refused
        # @raise [Core::Error] naming the place
        def initialize(bytes, now:)
          found = JSON.parse(Bundle.text(bytes))
          error = JSONSchemer.schema(SCHEMA).validate(found).first
          refuse("#{place(error['data_pointer'])} is not right for a child's file.") if error
          @now = now
          @name = found["name"]
          @source_id = found["source_id"]
          @answers = found["answers"].each.with_index(1).map { |answer, number| parse_answer(answer, number) }.sort_by(&:at)
        rescue JSON::ParserError
          refuse("This isn't a child's file. Save it again where it comes from, as JSON.")
        end

        private

        def parse_answer(answer, number)
          mistake = answer["mistake"]&.then { |id| Core::Reading::Misreading.find(id).id.to_s }
          task = Core::Tasks::Task.find(answer["task"])
          check_moment(answer["answered_at"])
          AnsweredItem.new(Core::Curriculum::Step.find(answer["step"]), task, task.parse_time(answer["time"]),
                           *answer.values_at("answer", "answered_at", "said"), mistake, answer.fetch("helped", false),
                           ruling(answer["ruling"]), tries(answer))
        rescue Core::Error => e
          refuse("Answer #{number}: #{e.message}")
        end

        def ruling(ruling)
          return unless ruling

          check_moment(ruling["ruled_at"])
          known = Core::Marking::MarkedAnswer::VERDICTS.map(&:to_s)
          refuse("#{ruling['verdict'][0, 40]} is not a result.") unless known.include?(ruling["verdict"])

          { verdict: ruling["verdict"], ruled_at: ruling["ruled_at"] }
        end

        def tries(answer)
          answer.fetch("tries", []).map do |try|
            check_moment(try["answered_at"])
            try.values_at("answer", "answered_at")
          end
        end

        # A day that is none, or that has not come, would stand in the way of every page that counts days.
        def check_moment(text)
          moment = Time.iso8601(text)
          refuse("#{text[0, 10]} is in the future.") if moment > @now + AHEAD
          # Ruby takes the 31st of April for the first of May.
          raise ArgumentError unless moment.year >= FIRST_YEAR && moment.utc.iso8601 == text
        rescue ArgumentError
          refuse("#{text[0, 20]} isn't a day and time.")
        end

        def place(pointer)
          if pointer.empty?
            "The file"
          else
            pointer.delete_prefix("/").sub(%r{\Aanswers/(\d+)}) do
              "Answer #{Regexp.last_match(1).to_i + 1}"
            end.tr("/", ",")
          end
        end

        def refuse(words) = raise(Core::Error.new(words, field: :file))
      end
    end
  end
end
