# frozen_string_literal: true

require "date"

module Vantick
  class CLI
    # `diagnose < answers.csv`: what lies behind the mistakes, one line a child.
    class Diagnose < Command
      NEEDED = %w[child task time answer].freeze
      # Misreadings are told that have a hit or at least this probability.
      TOLD_FROM = 0.05
      AnswerRow = Struct.new(:child, :marked, :day, keyword_init: true)

      def run(arguments)
        nothing_left(parse(arguments) { |parser| conventions_option(parser) })
        table = AnswerTable.new(@input, needed: NEEDED)
        given = table.map { |row| parse_row(row, table) }
        last = given.filter_map(&:day).max
        given.group_by(&:child).each { |child, answers| line(child:, **describe(answers, last)) }
      end

      private

      def parse_row(row, table)
        child = row["child"].to_s.strip
        raise UsageError, "the child has no name" if child.empty?

        AnswerRow.new(child:, marked: table.mark(row, conventions), day: day(row["day"]))
      end

      def day(text)
        Date.iso8601(text) unless text.nil? || text.strip.empty?
      rescue Date::Error
        raise UsageError, "#{Core.excerpt(text)} is not a day: write it as 2026-11-23"
      end

      def describe(answers, last)
        marked = answers.map(&:marked)
        diagnosis = Core::Knowing::Diagnosis.new(marked, days: answers.map { |answer| answer.day&.jd }, today: last&.jd)
        { verdict: diagnosis.verdict, misreadings: misreadings(diagnosis, marked), next_best: next_best(diagnosis, marked) }
      end

      def misreadings(diagnosis, marked)
        telling = marked.select(&:telling?)
        hit = telling.flat_map(&:misreadings).uniq
        found = Core::Reading::Misreading.all.map { |misreading| [diagnosis.probability(misreading), misreading] }
        found.select { |share, misreading| hit.include?(misreading.id) || share >= TOLD_FROM }
             .map { |share, misreading| [share, Core::Judging::Evidence.new(misreading, telling)] }
             .sort_by.with_index { |(share, evidence), at| [-share.round(3), *evidence.rank, at] }
             .map { |share, evidence| piece(share, evidence) }
      end

      def piece(share, evidence)
        { id: evidence.misreading.id, probability: share.round(3),
          chances: evidence.chances, hits: evidence.hits, own_hits: evidence.own_hits }
      end

      def next_best(diagnosis, marked)
        task = marked.last.task
        times = marked.select { |answer| answer.task.asks == task.asks }.map(&:time).uniq
        left = (Core::Curriculum::Step.holding(times, task)&.pool_for(task) || task.times) - times
        time = Core::Judging::ItemSelection.time(diagnosis, task, left)
        time && { task: task.id, time: time.digital }
      end
    end
  end
end
