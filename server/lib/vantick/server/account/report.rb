# frozen_string_literal: true

module Vantick
  module Server
    module Account
      # How the school's classes meet a standard, and what was done for those who were far below: for whoever keeps the school. No child, no
      # teacher and no small group is told of.
      class Report < Handler
        Rules = Core::Term::SchoolReport
        private_constant :Rules

        def read_school_report
          keepers_only
          class_report
        end

        private

        def class_report
          standard = params.standard || standards.first
          raise Core::UnknownName.new("standard", standard, standards, field: :standard) unless standards.include?(standard)

          @days = days.select { |day| day == days.last || report.answered?(day) }
          { **Rules::TABLE.slice(:least, :rounded_to, :steps_below), standards:, standard:, days: dates, classes: rows(standard),
            total: total(standard), support: }
        end

        def dates = days.map { |day| Date.jd(day).iso8601 }

        # Of one class there is nothing to add up.
        def total(standard) = report.total(standard, days).map { |count| count&.to_h if classes.length > 1 }

        # Of the school's country; all where it has none of its own.
        def standards = @standards ||= Core::Term::Aim.standards.select { |standard| standard.start_with?(country[:standards]) }

        def country = @country ||= store.school.country

        def days = @days ||= Rules.days(country[:id], today)

        def today = Store::SchoolDay.today

        # By name: in no other order.
        def classes
          @classes ||= store.classes.all.reject { |row| row.archived || row.children.empty? }.sort_by { |row| [row.name, row.id] }
        end

        def report
          @report ||= Rules.new(classes.to_h { |row| [row.id, Store::ProgressCache.of_year(row, store, today:)] }, today:)
        end

        def rows(standard)
          counts = report.classes(standard, days)
          classes.map { |row| { **row.slice(:id, :name, :school), counts: counts[row.id].map { |count| count&.to_h } } }
        end

        # Who was far below some weeks ago, for how many of them something was made since, and how many are not far below any more.
        def support
          below = before.values.flatten
          { since: Date.jd(since).iso8601, made: build(before), below: count(below, all_children),
            below_now: count(now_below, all_children), helped: count(helped, below.length),
            closer: count(below - now_below, below.length) }
        end

        # @return [Hash{Integer => Array<Integer>}] by class the children who were far below it then
        def before = @before ||= classes.to_h { |row| [row.id, Store::ProgressCache.of_day(row, store, since).far_below] }

        def now_below = @now_below ||= classes.flat_map { |row| Store::ProgressCache.of(row, store, today:).far_below }

        def since = Rules.since(today)

        def count(children, of) = Rules.count(children.length, of).to_h

        def helped = before.flat_map { |class_id, ids| ids & made_for(class_id).values.flatten }

        def all_children = classes.sum { |row| row.children.length }

        def made_for(class_id)
          @made_for ||= {}
          @made_for[class_id] ||= Store::MadeFor.of(store.db, class_id, Date.jd(since).iso8601)
        end

        # @return [Hash{Symbol => Integer}] how many lessons, sheets and sessions were for some of them
        def build(below)
          %i[lessons sheets sessions].to_h do |kind|
            [kind, below.sum { |class_id, ids| made_for(class_id)[kind].count { |for_whom| for_whom.intersect?(ids) } }]
          end
        end
      end
    end
  end
end
