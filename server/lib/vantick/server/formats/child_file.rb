# frozen_string_literal: true

require "json_schemer"

module Vantick
  module Server
    module Formats
      # A child's record as a file, from this Vantick or another one (child.schema.json).
      class ChildFile
        SCHEMA = JSON.parse(File.read(File.join(__dir__, "child.schema.json"))).freeze
        MARK = { format: "vantick-child", version: 1 }.freeze
        # An answer of the file with what it was asked.
        Asked = Struct.new(:step, :task, :time, :text, :at, :said, :mistake) do
          # @return [Hash] the item that was asked
          def item = { time: time.to_s, step: step.id.to_s, task: task.id.to_s, said:, misreading: mistake }
        end

        # @return [String] the child's name
        attr_reader :name
        # @return [Array<Asked>] oldest first
        attr_reader :answers

        # @param bytes [String]
        # @raise [Core::Error] naming the place
        def initialize(bytes)
          found = JSON.parse(Bundle.text(bytes))
          error = JSONSchemer.schema(SCHEMA).validate(found).first
          refuse("#{place(error['data_pointer'])} is not as it should be in a child's file.") if error
          @name = found["name"]
          @answers = found["answers"].each.with_index(1).map { |answer, number| asked(answer, number) }.sort_by(&:at)
        rescue JSON::ParserError
          refuse("This is no child's file: save it once more where it comes from, as JSON.")
        end

        private

        def asked(answer, number)
          mistake = answer["mistake"]&.then { |id| Core::Reading::Misreading.find(id).id.to_s }
          step = Core::Teaching::Step.find(answer["step"])
          task = Core::Marking::Task.find(answer["task"])
          Asked.new(step, task, task.parse_time(answer["time"]), *answer.values_at("answer", "answered_at", "said"), mistake)
        rescue Core::Error => e
          refuse("Answer #{number}: #{e.message}")
        end

        def place(pointer)
          if pointer.empty?
            "The whole"
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
