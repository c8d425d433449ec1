# frozen_string_literal: true

module Vantick
  module Server
    module Pages
      # A class's sheet as it is printed: whose names are on it, and everything that its pages say.
      class Printing
        # Conditions of a check that was made without a sheet's settings: few dials are a slip.
        LOOK = %i[numerals marks minute_numbers halves].freeze
        PLAIN = { names: true, versions: "one" }.freeze

        # @return [Array<Hash>] those for whom it is
        attr_reader :children
        # @return [Core::Wording::Conventions]
        attr_reader :conventions

        # @param school_class [Hash]
        # @param settings [Hash{Symbol => Object}]
        # @raise [Core::Error]
        def initialize(school_class, settings)
          @class = school_class
          @conventions = school_class.wording
          @settings = { paper: Core::Wording::English.paper(@conventions), **settings }
          @children = for_whom
        end

        # @param check [Hash] one that was kept
        # @return [Printing]
        def self.of_check(check, school_class)
          kind = Core::Choosing::SheetKind.of_check(Core::Tasks::Task.find(check.task), check.items.length)
          new(school_class, { kind: kind.id.to_s, **PLAIN, **check.sheet, step: check.step, task: check.task })
        end

        # @param check [Hash] one that was kept
        # @param only [Integer, Symbol, nil] a child whose sheet alone is printed, or `:spare` for one more without a name
        # @param names [Boolean, nil] whether names are on it, where it is to be other than it was set
        # @return [Documents::Sheet] the same that was made
        def drawn_sheet(check, only: nil, names: nil)
          @settings = { **@settings, names: } unless names.nil?
          task = Core::Tasks::Task.find(check.task)
          by_child = check.items.group_by(&:child_id).transform_values { |rows| rows.map { |row| item(row, task) } }
          kind = Core::Choosing::SheetKind.find(@settings[:kind])
          step = Core::Curriculum::Step.find(check.step)
          sheet(versions(check, by_child, only), code: check.code, made_at: check.made_at, kind:, step:, task:)
        end

        # Those who get paper of their own: every child by name, or nobody in particular.
        # @param own [Boolean] whether each has exercises of its own
        def names(own:)
          return [[nil, ""]] unless own || own_pages?
          return @children.map { |child| [(child.id if own), ""] } unless @settings[:names]

          @children.map { |child| child.values_at(:id, :name) }
        end

        # @return [Documents::Version]
        def version(child_id, name, items, letter: nil) = Documents::Version.new(name:, items:, row: child_id, letter:)

        # @return [Documents::Sheet]
        def sheet(versions, code:, made_at:, **what)
          Documents::Sheet.new(**what, **set, versions:, code:, conventions:, sign:, origin: origin(made_at), day: @class.day)
        end

        # @return [Array<String>] names that the typeface has no letters for: they are left to be written
        def unprintable
          names = @settings[:names] ? @children.map(&:name) : []
          names.reject { |name| Documents::Letters.all?(name) }
        end

        private

        def own_pages? = @settings[:kind].to_s == "slips" || (@settings[:own_pages] && @children.any?)

        # What the pages take of the settings.
        def set
          { look: @settings.slice(*LOOK), dotted: @settings[:lines] == "dotted", cards: @settings[:cards] || "digits",
            game:, **@settings.slice(:both, :paper) }
        end

        def game
          misreading = @settings[:misreading] && Core::Reading::Misreading.find(@settings[:misreading])
          players = [@children.length, 1].max
          Documents::Game.new(number: @settings[:seed].to_i, players:, items: @settings[:count].to_i, misreading:)
        end

        # All of the class, or those for whom it was set.
        def for_whom
          wanted = @settings[:child_ids] or return @class.children
          children = @class.children.select { |child| wanted.include?(child.id) }
          raise Core::Error.new("None of these children is in the class any more.", field: :child_ids) if children.empty?

          children
        end

        def versions(check, by_child, only)
          shared = by_child[nil]
          return spare(shared) if only == :spare

          letters = Views::CheckView.letters(check).to_h { |letter| letter.values_at(:child_id, :letter) }
          found = whose(only, own: shared.nil?).map do |id, name|
            version(id, name, by_child[id] || shared || [], letter: letters[id])
          end
          only ? found : found.reject { |version| version.items.empty? }
        end

        def spare(shared)
          words = "Each child has different clocks here. Choose whose sheet to print again."
          shared ? [version(nil, "", shared)] : raise(Core::Error.new(words, field: :only))
        end

        def whose(only, own:)
          return names(own:) unless only

          child = @children.find { |candidate| candidate.id == only }
          raise Core::Error.new("This child isn't in the check's class.", field: :child_id) unless child

          [[child.id, child.name]]
        end

        def item(row, task)
          misreading = row.misreading && Core::Reading::Misreading.find(row.misreading)
          said = row.said && Core::Wording::AnswerReader.read(row.said, conventions).first&.saying
          time = task.parse_time(row.time)
          wears = %i[helped larger].to_h { |look| [look, (true if row[look] == 1)] }
          Core::Choosing::SheetChoice::Item.new(time:, said:, misreading:, level: row.level, **wears).freeze
        end

        def origin(made_at)
          day = Date.jd(Store::SchoolDay.jd(made_at))
          [@class.name, Core::Wording::English.day(day, @conventions, year: true)].join(" · ")
        end

        # Two letters, the same for the same choice of times.
        def sign
          letters = Store::Codes::LETTERS
          Random.new(@settings[:seed].to_i).then { |random| Array.new(2) { letters.sample(random:) }.join }
        end
      end
    end
  end
end
