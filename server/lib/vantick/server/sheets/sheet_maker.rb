# frozen_string_literal: true

module Vantick
  module Server
    module Sheets
      # From what a teacher set to a sheet, its exercises chosen by core.
      class SheetMaker
        # What all sheets have unless it is set otherwise.
        USUAL = { versions: "one", own_pages: false, names: true, both: false, lines: "plain", cards: "digits", levels: "record",
                  level_of: [], help: "none", seed: 1, task: nil, count: nil, misreading: nil }.freeze
        # Said where a game is to have no near misses of one mistake.
        NONE = "none"
        # Mistakes that a teacher can choose among for a game.
        MOST = 3

        # What is known of a class: what it had lately, and where each child is.
        # @!attribute misreadings [Array<Core::Reading::Misreading>] the class's own, the commonest first
        # @!attribute lately [Hash{Integer, nil => Array<Array(String, String)>}] task and time by child
        # @!attribute levels [Hash{Integer => Integer}] by child
        # @!attribute review_due [Hash{Integer => Array<Core::Curriculum::Step>}] what each child may be losing
        # @!attribute adjustments [Hash{Integer => Core::Teaching::Adjustments}] of those children who have some
        Known = Struct.new(:misreadings, :lately, :levels, :review_due, :adjustments, keyword_init: true) do
          def initialize(misreadings: [], lately: {}, levels: {}, review_due: {}, adjustments: {}) = super
        end

        attr_reader :kind, :step, :task, :settings

        # @param school_class [Hash]
        # @param settings [Hash{Symbol => Object}]
        # @param known [Known]
        # @param few [Integer, nil] children for whom times are chosen, where it takes long and the others are not looked at yet
        # @raise [Core::Error]
        def initialize(school_class, settings, known: Known.new, few: nil)
          asked = { **USUAL, paper: Core::Wording::English.paper(school_class.wording), **settings.compact }
          @kind = Core::Choosing::SheetKind.find(asked[:kind])
          @step = Core::Curriculum::Step.find(asked[:step])
          @task = known_task(asked[:task])
          @known = known
          @settings = { **asked, task: @task&.id&.to_s, count: count(asked[:count]), misreading: misreading(asked[:misreading]) }.freeze
          @printing = Pages::Printing.new(school_class, @settings)
          @few = few unless @kind.practice?
        end

        # @return [Array<Hash>] children, each with a level, where each gets its own
        def levels
          return [] unless own_levels?

          set = @settings[:level_of].to_h { |row| row.transform_keys(&:to_s).values_at("child_id", "level") }
          @printing.children.map do |child|
            { child_id: child.id, name: child.name, level: set[child.id] || @known.levels.fetch(child.id, 1) }
          end
        end

        # What is the same for all is there once, however many names it is printed under.
        # @return [Array<Hash>] rows of items
        def items = readers.flat_map { |child_id, items| items.map { |item| row(item, child_id) } }

        # @param made_at [String]
        # @param only [Integer, nil] how many of the versions
        # @return [Documents::Sheet] to be looked at; in a preview some children may stand for all
        def sheet(made_at:, only: nil)
          shared = readers[nil]
          names = @printing.names(own: shared.nil?)
          versions = names.map.with_index do |(id, name), at|
            letter = Core::Choosing::SheetChoice.letter(at) unless shared
            @printing.version(id, name, shared || readers.fetch(id, readers.values.last), letter:)
          end
          @printing.sheet(only ? versions.first(only) : versions, code: "", made_at:, kind:, step:, task:, languages:)
        end

        # @return [Array<Core::Reading::Misreading>] the class's own that a game on the step can be about, the commonest first
        def mistakes
          return [] unless @kind.game?

          @known.misreadings.select { |misreading| @step.shows?(misreading) }.first(MOST)
        end

        # @return [Array<String>] names that the typeface has no letters for
        def unprintable = @printing.unprintable

        # @return [Core::Choosing::Choice, nil] what one of them can tell
        def choice
          return unless @task && @kind.answered? && @kind.id != :baseline

          times = readers.values.first.map(&:time) & @step.pool_for(@task)
          Core::Choosing::Choice.new(Core::Choosing::Discrimination.for(@step, @task), times)
        end

        private

        # In the order of the children, those together that are alike.
        def languages
          ids = @printing.children.map(&:id)
          @known.adjustments.values_at(*ids).compact.filter_map(&:home).group_by(&:id).values.flatten
        end

        def own_levels? = @kind.id == :levels && @settings[:levels] == "record"

        def each? = @settings[:versions] == "each" && @task && @kind.answered?

        # The exercises by child; by nobody where all have the same.
        def readers
          @readers ||= (@task ? chosen : { nil => [] }).to_h { |id, items| [id, adjusted(items, @known.adjustments[id])] }
        end

        # A sheet that is to tell what a child knows has all its clocks, without help.
        def adjusted(items, adjustments)
          return items if adjustments.nil?
          return Core::Choosing::Support.adjusted(items, adjustments.only(:larger)) unless @kind.practice?

          Core::Choosing::Support.adjusted(items, adjustments, helps: Core::Choosing::Support.of(@step, @task).any?)
        end

        def chosen
          choice = Core::Choosing::SheetChoice.new(kind: @kind, step: @step, task: @task, count: @settings[:count],
                                                   misreadings: @kind.game? ? own_mistake : @known.misreadings)
          return each(choice) if each?
          return one_a_level(choice) if own_levels?

          { nil => choice.items(@settings[:seed], avoid: lately(nil)) }
        end

        def own_mistake = [@settings[:misreading]].compact.map { |id| Core::Reading::Misreading.find(id) }

        # The class's commonest, unless another is chosen or none.
        def misreading(wanted)
          return if !@kind.game? || wanted == NONE

          wanted ? Core::Reading::Misreading.find(wanted).id.to_s : mistakes.first&.id&.to_s
        end

        def each(choice)
          level_of = levels.to_h { |level| [level[:child_id], level[:level]] }
          ids = @printing.children.first(@few || @printing.children.length).map(&:id)
          readers = ids.map { |id| reader(id, level_of[id]) }
          ids.zip(choice.versions(readers, @settings[:seed])).to_h
        end

        def reader(id, level)
          Core::Choosing::SheetChoice::Reader.new(level:, help: help(id), avoid: lately(id), again: @known.review_due.fetch(id, []))
        end

        # Sheets that are to tell what a child knows have none.
        def help(id) = (@known.levels.fetch(id, 1) if @settings[:help] == "record" && @kind.practice?)

        def one_a_level(choice)
          by_level = choice.by_level(@settings[:seed], avoid: lately(nil))
          levels.to_h { |level| [level[:child_id], by_level[level[:level] - 1]] }
        end

        # What a child, or the whole class, had lately of what is asked here.
        def lately(child_id)
          rows = child_id ? @known.lately.values_at(nil, child_id).compact.flatten(1) : @known.lately.values.flatten(1)
          rows.uniq.filter_map { |task, time| @task.parse_time(time) if Core::Tasks::Task.find(task).asks == @task.asks }
        end

        def row(item, child_id)
          { time: item.time.to_s, child_id:, said: item.said&.words(@printing.conventions), misreading: item.misreading&.id&.to_s,
            level: item.level, step: item.step&.id&.to_s, helped: item.helped ? 1 : nil, larger: item.larger ? 1 : nil }
        end

        # No number asked for is the usual one, as far as the step has so many.
        def count(wanted)
          return @kind.usual_count(@step, @task) if wanted.nil?
          return wanted if wanted.is_a?(Integer) && (@kind.least..@kind.most).cover?(wanted)

          words = "#{@kind.name}: #{@kind.least} to #{@kind.most} #{@kind.game? ? 'clocks' : 'exercises'}."
          raise Core::InvalidCount.new(words, nearest: wanted.to_i.clamp(@kind.least, @kind.most))
        end

        def known_task(wanted)
          return if @kind.tasks.empty?

          known = @kind.tasks_for(@step)
          raise Core::Error.new("#{@kind.name} doesn't work for #{@step.name.downcase}. Choose another step.", field: :step) if known.empty?
          return known.first if wanted.nil?

          known.find { |task| task.id.to_s == wanted.to_s } ||
            raise(Core::UnknownName.new("task of this sheet", wanted, known.map(&:id), field: :task))
        end
      end
    end
  end
end
