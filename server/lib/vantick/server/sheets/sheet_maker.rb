# frozen_string_literal: true

module Vantick
  module Server
    module Sheets
      # From what a teacher set to a sheet, its exercises chosen by core; and from a sheet that was kept to the same.
      class SheetMaker
        LOOK = %i[numerals marks minute_numbers halves].freeze
        # What all sheets have unless it is set otherwise.
        USUAL = { paper: "a4", versions: "one", names: true, both: false, seed: 1, task: nil, count: nil }.freeze

        # @param school_class [Hash]
        # @param settings [Hash{Symbol => Object}]
        # @param misreadings [Array<Core::Reading::Misreading>] the class's own
        # @raise [Core::Error]
        def initialize(school_class, settings, misreadings: [])
          @settings = USUAL.merge(settings.compact)
          @class = for_some(school_class)
          @kind = Core::Choosing::SheetKind.find(@settings[:kind])
          @step = Core::Teaching::Step.find(@settings[:step])
          @task = known_task
          @misreadings = misreadings
        end

        # @return [Hash] as it is kept
        def settings = { **@settings, task: @task&.id, count: }

        # What is the same for all is there once, however many names it is printed under.
        # @return [Array<Hash>] rows of items
        def items
          versions(each? ? nil : 1).flat_map { |version| version[:items].map { |item| row(item, version[:child_id]) } }
        end

        # @param only [Integer, nil] how many of the versions, for a preview
        # @param code [String]
        # @return [Documents::Sheet]
        def sheet(only: nil, code: "")
          sheet_of(versions(only).map { |version| Documents::Version.new(name: version[:name], items: version[:items]) }, code)
        end

        # @param check [Hash] one that was kept
        # @return [Documents::Sheet] the same that was made
        # @param only [Integer, Symbol, nil] a child whose sheet alone is printed, or `:spare` for one more without a name
        def kept(check, only: nil)
          by_child = check[:items].group_by { |item| item[:child_id] }
          shared = by_child[nil]
          unfit_spare if only == :spare && shared.nil?

          sheet_of(whose(only).map { |child_id, name| version(name, by_child[child_id] || shared || []) }, check[:code])
        end

        # @return [Core::Choosing::Choice, nil] what one of them can tell
        def choice(sheet)
          return unless @task && @kind.answered?

          times = sheet.versions.first.items.map(&:time) & @step.pool_for(@task)
          Core::Choosing::Choice.new(Core::Choosing::Telling.for(@step, @task), times)
        end

        attr_reader :kind, :step, :task

        private

        # All of the class, or those for whom it was set.
        def for_some(school_class)
          wanted = @settings[:child_ids] or return school_class
          children = school_class[:children].select { |child| wanted.include?(child[:id]) }
          raise Core::Error.new("None of these children is in the class any more.", field: :child_ids) if children.empty?

          school_class.with(children: children.freeze)
        end

        def row(item, child_id)
          { time: item.time.to_s, child_id:, said: item.said&.words(conventions), misreading: item.misreading&.id&.to_s, level: item.level }
        end

        def conventions = @conventions ||= @class.wording

        def count
          wanted = @settings[:count] || @kind.count
          return wanted if wanted.is_a?(Integer) && (1..@kind.most).cover?(wanted)

          raise Core::InvalidCount, "#{@kind.name}: 1 to #{@kind.most} exercises."
        end

        def known_task
          return if @kind.tasks.empty?

          known = @kind.tasks_for(@step)
          raise Core::Error.new("#{@kind.name} is not for #{@step.name.downcase}: choose another step.", field: :step) if known.empty?
          return known.first if @settings[:task].nil?

          known.find { |task| task.id.to_s == @settings[:task].to_s } ||
            raise(Core::UnknownName.new("task of this sheet", @settings[:task], known.map(&:id), field: :task))
        end

        # Those who get a sheet of their own: every child by name, or nobody in particular.
        def names
          return [[nil, ""]] unless each? || (@settings[:names] && @kind.id == :slips)

          @class[:children].map { |child| [child[:id], @settings[:names] ? child[:name] : ""] }
        end

        def whose(only)
          return names unless only
          return [[nil, ""]] if only == :spare

          child = @class[:children].find { |one| one[:id] == only }
          raise Core::Error.new("This child is not in the check's class.", field: :child_id) unless child

          [[child[:id], child[:name]]]
        end

        def unfit_spare = raise(Core::Error.new("Each child has clocks of its own here: choose for whom to print again.", field: :only))

        def each? = @settings[:versions] == "each" && @task

        def versions(only = nil)
          wanted = only ? names.first(only) : names
          chosen = chosen(wanted.length)
          wanted.map.with_index { |(child_id, name), at| { child_id: (child_id if each?), name:, items: chosen[at] || chosen.first } }
        end

        def chosen(many)
          return [[]] unless @task

          choice = Core::Choosing::SheetChoice.new(kind: @kind, step: @step, task: @task, count:, misreadings: @misreadings)
          each? ? choice.versions(many, @settings[:seed]) : [choice.items(@settings[:seed])]
        end

        def version(name, rows)
          items = rows.map do |row|
            misreading = row[:misreading] && Core::Reading::Misreading.find(row[:misreading])
            said = row[:said] && Core::Wording::AnswerReader.read(row[:said], conventions).first&.saying
            Core::Choosing::SheetChoice::Item.new(time: @task.parse_time(row[:time]), said:, misreading:, level: row[:level])
          end
          Documents::Version.new(name:, items:)
        end

        def sheet_of(versions, code)
          Documents::Sheet.new(kind: @kind, step: @step, task: @task, versions:, code:, conventions:, look: @settings.slice(*LOOK),
                               **@settings.slice(:paper, :both))
        end
      end
    end
  end
end
