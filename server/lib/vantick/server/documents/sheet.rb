# frozen_string_literal: true

module Vantick
  module Server
    module Documents
      # What is to be printed, and for whom.
      # @!attribute kind [Core::Choosing::SheetKind]
      # @!attribute step [Core::Curriculum::Step]
      # @!attribute task [Core::Tasks::Task, nil]
      # @!attribute versions [Array<Version>]
      # @!attribute look [Hash] what the dials wear, see {Dial::USUAL}
      # @!attribute paper [String] one of {Page::SIZES}
      # @!attribute code [String] by which answers are typed in later
      # @!attribute conventions [Core::Wording::Conventions]
      # @!attribute both [Boolean] whether a dial is read in words and in digits
      # @!attribute dotted [Boolean] whether lines for words have a dotted one halfway up
      # @!attribute cards [String] what is matched with the dials, one of {Cards::PARTNERS}
      # @!attribute sign [String] that tells one set of cards from another
      # @!attribute origin [String] the class, and the day it was made
      # @!attribute day [Array<Hash>] the class's own
      # @!attribute game [Game, nil] what is played
      # @!attribute languages [Array<Core::Wording::HomeLanguage>] of a note to take home: one for each child who speaks another at home
      # A game: its number, by which the same is made again; how many play, with how many clocks or stories, and whose near misses.
      Game = Struct.new(:number, :players, :items, :misreading, keyword_init: true)

      Sheet = Struct.new(:kind, :step, :task, :versions, :look, :paper, :code, :conventions, :both, :dotted, :cards, :sign, :origin, :day,
                         :game, :languages, keyword_init: true) do
        # @return [Array<Page>] for the children
        def pages = stacks.flatten

        # @return [Array<Array<Page>>] for each version; slips of several on one; what is cut out by page, as nothing is on its back
        def stacks = @stacks ||= kind.cut? ? layout.stacks.flatten.zip : layout.stacks

        # @return [Array<Page>] for the teacher; none where there is nothing to answer
        def answer_pages
          return Games::Key.new(self).pages if kind.game?
          return [layout.key] if kind.keyed?

          task && kind.id != :cards ? Answers.new(self).pages : []
        end

        # @return [Array<Core::Choosing::DayStories::Story>] of a sheet with stories
        def stories = Core::Choosing::DayStories.new(day || [], step:, conventions:).stories(game.items, seed: game.number)

        # @return [Array<Array(DayTime, String)>] of the class's own day, in order
        def events = Core::Choosing::DayStories.events(day || []).first(game.items)

        # @return [Core::Choosing::Bingo] of a sheet for it
        def bingo = @bingo ||= Core::Choosing::Bingo.new(versions.first.items.map(&:time), cards: game.players, seed: game.number)

        # @return [Array<DialTime>] of a game, in the order in which they come
        def calls = kind.id == :bingo ? bingo.calls : versions.first.items.map(&:time)

        # @return [Boolean] whether each dial is read in words and in digits
        def both? = both && kind.id == :read && task.id == :dial_to_words

        def dotted? = dotted

        # @return [Hash] what a clock with help on it wears beside, see {Core::Choosing::Support}
        def helped_look
          return {} if versions.flat_map(&:items).none?(&:helped)

          look = Core::Choosing::Support.look(step, task)
          { minute_numbers: look[:minute_numbers]&.to_s, sides: (side_words if look[:sides]) }.compact
        end

        # @param item [Core::Choosing::SheetChoice::Item]
        # @return [Hash] what its clock wears
        def look_of(item)
          return look unless item.helped

          { **look, **helped_look, **Core::Choosing::Support.look(step, task, item.time).slice(:hour_gap) }
        end

        # @return [String] what stands at the top
        def title = kind.id == :baseline ? Layout::WORDS[:baseline] : step.texts_in(conventions)[:name]

        # @return [String] what stands above the exercises
        def direction = both? ? Layout::WORDS[:both_direction] : kind.direction(task, conventions)

        # @return [Array<Core::Choosing::Problems::Problem>] for the last level
        def problems(items)
          last = items.select { |item| item.level == Core::Choosing::Levels::COUNT }
          last.empty? ? [] : Core::Choosing::Problems.of(last.map(&:time), conventions:, day: day || [])
        end

        # @return [Array(String, String)] what is said left and right of the twelve
        def side_words = %w[to past].map { |word| Core::Wording::ClassWords.fill("%{#{word}}", conventions) }

        def digits(time) = time.digital(conventions.sign)

        def words(time) = Core::Wording::Phrase.usual(time, conventions)

        # @return [String] what an exercise asks in words or digits
        def question(item)
          case task.sees
          when :digits then digits(item.time)
          when :time_of_day then Core::Wording::DayFacts.of(item.time, conventions)[:words]
          when :numerals then format(Layout::WORDS[:from_to], from: item.time.hour.zero? ? 12 : item.time.hour,
to: item.time.minute_numeral)
          else words(item.time)
          end
        end

        # @return [Integer] exercises on a full page; slips on one
        def per_page = layout.per_page

        private

        def layout
          layouts = { slips: Slips, cards: Cards, minute_numbers: BigDials, make: BigDials, step_card: StepCards, home: HomeNotes,
                      day_strips: DayStrips, stories: Stories, loop: Games::LoopCards, dominoes: Games::Dominoes,
                      bingo: Games::BingoCards }
          layouts.fetch(kind.id, Exercises).new(self)
        end
      end
    end
  end
end
