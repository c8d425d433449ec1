# frozen_string_literal: true

require "yaml"

module Vantick
  module Server
    module Documents
      # Pages for whoever gives the lessons of a day, a substitute too: what lies in the stack and where it goes, and the lesson itself.
      class DayPages
        TEXT = YAML.safe_load_file(File.join(__dir__, "day_words.yml"), symbolize_names: true).freeze
        MARGIN = Page::MARGIN
        # Points: letters, and from one thing to the next.
        SIZE = 11
        GAP = 9
        # Of the number and of the time of use, in points; what lies between is for the words.
        NUMBER = 26
        USE = 120
        # Times and their answers abreast.
        COLUMNS = 3

        # A line of the cover.
        # @!attribute kind [Symbol] one of the kinds in `day_words.yml`
        # @!attribute about [Hash{Symbol => Object}] what stands in its words
        # @!attribute paper [Integer] sheets of paper
        Entry = Struct.new(:kind, :about, :paper, keyword_init: true)

        # @param paper [String] one of {Page::SIZES}
        def initialize(paper: "a4")
          @paper = paper
          @pages = []
          begin_page
        end

        # @return [Array<Page>]
        attr_reader :pages

        # @param entries [Array<Entry>] in the order of the stack
        # @return [DayPages] with the cover on it
        def cover(title, about, entries)
          heading(title, 20)
          say(about)
          @y += GAP
          entries.each.with_index(1) { |entry, number| entry(entry, number) }
          @y += GAP
          say(TEXT[:devices])
          say(TEXT[:back])
          self
        end

        # @param title [String]
        # @param plan [Core::Teaching::LessonPlan]
        # @param adjusted [Hash{String => Core::Teaching::Adjustments}] what is set for single children, by name
        # @return [DayPages] with the lesson on it
        def lesson(title, plan, adjusted: {})
          heading(title, 17)
          texts = plan.step.texts_in(plan.conventions)
          needs = plan.lesson.stages.flat_map { |stage| Core::Teaching::Activities.needs(stage.activity) }.uniq
          say(format(TEXT[:need], things: needs.join("; "))) if needs.any?
          adjusted.each { |name, adjustments| set_for(name, adjustments) }
          say(format(TEXT[:board], words: texts[:words].join(", ")))
          say(format(TEXT[:begin], text: texts[:openings][plan.settings.opening % texts[:openings].length]))
          hinges = Core::Teaching::HingeQuestion.of(plan.lesson, plan.step).to_h { |question| [question.before, question] }
          plan.lesson.stages.each { |stage| stage(stage, plan, hinges[stage.id]) }
          say(TEXT[:collect]) if plan.lesson.exit.any?
          heading(TEXT[:in_words], 13)
          Core::Reading::MethodCard.lines(plan.step, plan.conventions).each { |line| say("· #{line}") }
          self
        end

        private

        def set_for(name, adjustments)
          say(format(TEXT[:adjusted], name:, names: adjustments.names.join("; "))) if adjustments.names.any?
        end

        def begin_page
          @pages << Page.new(paper: @paper)
          @y = MARGIN
        end

        def page = @pages.last

        def room?(height) = @y + height < page.height - MARGIN

        def heading(words, size)
          begin_page unless room?(size * 4)
          @y = page.paragraph(printable(words), MARGIN, @y + size, page.inner, size:, bold: true) - (size * 0.2)
        end

        def say(words, x: MARGIN, width: page.inner, bold: false)
          words = printable(words)
          lines = Letters.of(bold).lines(words, width, SIZE).length
          begin_page unless room?(lines * SIZE * 1.35)
          @y = page.paragraph(words, x, @y + SIZE, width, size: SIZE, bold:) - (SIZE * 0.65)
        end

        # A name that the typeface has no letters for stops nobody.
        def printable(words) = words.each_char.map { |letter| Letters.all?(letter) ? letter : "□" }.join

        def entry(entry, number)
          words = TEXT.fetch(entry.kind)
          width = page.inner - NUMBER - USE
          begin_page unless room?(SIZE * 6)
          top = @y
          page.line([MARGIN, top], [page.width - MARGIN, top], width: 0.6, color: Page::QUIET)
          @y += 4
          page.text("#{number}.", MARGIN, @y + SIZE, size: SIZE, bold: true)
          page.text(words[:when], page.width - MARGIN, @y + SIZE, size: SIZE, align: :right, color: Page::QUIET)
          say(format(words[:what], entry.about), x: MARGIN + NUMBER, width:, bold: true)
          say(format(words[:who], entry.about), x: MARGIN + NUMBER, width:)
          say("#{entry.paper} #{entry.paper == 1 ? 'sheet' : 'sheets'} of paper", x: MARGIN + NUMBER, width:)
          @y += GAP
        end

        def stage(stage, plan, hinge)
          @y += GAP
          way = Core::Teaching::Activities.find(stage.activity)
          say(format(TEXT[:stage], name: stage.name, minutes: stage.minutes, aim: way[:name]), bold: true)
          ask(hinge, plan.conventions) if hinge
          done = stage.items.reject(&:time).map { |item| Core::Teaching::Pacing::KINDS.fetch(item.kind)[:name] }.uniq
          say("#{done.join('. ')}.") if done.any?
          say(format(TEXT[:say], **way.slice(:say, :look_for)))
          asked = stage.items.select(&:time)
          asked.each_slice(COLUMNS) { |row| times(row, plan.conventions) }
        end

        def ask(hinge, conventions)
          wrong = hinge.wrong.map do |choice|
            format(TEXT[:wrong], answer: hinge.task.write(choice.answer, conventions), move: choice.misreading.texts_in(conventions)[:move])
          end
          say(format(TEXT[:ask], time: hinge.time, wrong: wrong.join(" ")))
        end

        # In digits a time says itself.
        def question(item, conventions)
          answer = item.task.write(item.task.right_answer(item.time), conventions)
          printable([item.time.to_s, answer].uniq.join(": "))
        end

        def times(row, conventions)
          width = (page.inner / COLUMNS) - 10
          begin_page unless room?(SIZE * 3)
          ends = row.each_with_index.map do |item, at|
            page.paragraph(question(item, conventions), MARGIN + (at * (width + 10)), @y + SIZE, width, size: SIZE)
          end
          @y = ends.max - (SIZE * 0.65)
        end
      end
    end
  end
end
