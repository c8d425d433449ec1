# frozen_string_literal: true

module Vantick
  module Server
    module Documents
      # What is to be printed, and for whom.
      # @!attribute kind [Core::Choosing::SheetKind]
      # @!attribute step [Core::Teaching::Step]
      # @!attribute task [Core::Marking::Task, nil]
      # @!attribute versions [Array<Version>]
      # @!attribute look [Hash] what the dials wear, see {Dial::USUAL}
      # @!attribute paper [String] one of {Page::SIZES}
      # @!attribute code [String] by which answers are typed in later
      # @!attribute conventions [Core::Wording::Conventions]
      # @!attribute both [Boolean] whether a dial is read in words and in digits
      Sheet = Struct.new(:kind, :step, :task, :versions, :look, :paper, :code, :conventions, :both, keyword_init: true) do
        # @return [Array<Page>] for the children
        def pages = layout.pages

        # @return [Array<Page>] for the teacher; none where there is nothing to answer
        def answer_pages = task && kind.id != :cards ? Answers.new(self).pages : []

        # @return [Boolean] whether each dial is read in words and in digits
        def both? = both && kind.id == :read && task.whole_time?

        # @return [String] what stands at the top
        def title = step.texts_in(conventions)[:name]

        private

        def layout
          case kind.id
          when :slips then Slips.new(self)
          when :cards then Cards.new(self)
          when :minute_numbers, :make then BigDials.new(self)
          when :step_card, :home then Notes.new(self)
          else Exercises.new(self)
          end
        end
      end
    end
  end
end
