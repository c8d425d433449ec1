# frozen_string_literal: true

module Vantick
  module Server
    module Check
      # Whose answers to which clocks the responses of another program are.
      class MatchedResponses
        # What isn't taken: its place in the file, and why.
        LeftOut = Struct.new(:place, :why)
        # What a child gave to an item of the check.
        Given = Struct.new(:child_id, :item_id, :answer)

        # The number of a clock, alone, after "clock", or at the end of a title.
        NUMBER = /(?:\A(?:clock\s*)?|, )(\d{1,2})\z/i

        # @return [Array<Given>]
        attr_reader :answers
        # @return [Array<LeftOut>] what isn't taken, and why
        attr_reader :left_out

        # @param check [Store::Rows::Check]
        # @param items [Array<Store::Rows::Item>] as they went out, in order
        # @param children [Hash{String => Array<Hash>}] by each name or id that a program may know a child by
        # @param conventions [Core::Wording::Conventions]
        def initialize(check, items, children, conventions)
          @check = check
          @items = items
          @children = children
          @conventions = conventions
        end

        # @param responses [Array<Formats::ItemResponses::Response>]
        # @return [MatchedResponses]
        def match(responses)
          found = responses.map { |response| [response, matched(response)] }
          @answers = found.filter_map { |_, answer| answer if answer.is_a?(Given) && !answer.answer.empty? }
          # Of each child and clock the first: whatever is told after it changes the next.
          @answers.uniq! { |answer| [answer.child_id, answer.item_id] }
          @left_out = found.filter_map { |response, why| LeftOut.new(response.place, why) if why.is_a?(String) }
          self
        end

        private

        # @return [Given, String] the answer, or why it isn't taken
        def matched(response)
          children = @children.fetch(Core::Wording::ChildNames.folded(response.child), [])
          return "no child in the class is called “#{response.child[0, 40]}”" if children.empty?
          return "more than one child is called “#{response.child[0, 40]}”" if children.length > 1

          item = item(response.item) or return "“#{response.item[0, 40]}” is no clock of this check"
          return "this clock is on another child's sheet" unless [nil, children.first.id].include?(item.child_id)

          Given.new(children.first.id, item.id, answer(response.value, item))
        end

        # By the name that it went out with, or the number at the end of its title.
        def item(name)
          number = name[NUMBER, 1].to_i
          at = (1..@items.length).find { |position| Formats::Qti.name_of(code, position) == name }
          at ||= number if number.between?(1, @items.length)
          at && @items[at - 1]
        end

        def code = @check.code || "check-#{@check.id}"

        # Of a choice what stands beside its name.
        def answer(value, item)
          number = value[/\Achoice-(\d{1,2})\z/, 1] or return value
          task = Core::Tasks::Task.find(item.task)
          Formats::QtiScoring.new(task, task.parse_time(item.time), @conventions).choices[number.to_i - 1] || value
        end
      end
    end
  end
end
