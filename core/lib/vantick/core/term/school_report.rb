# frozen_string_literal: true

require "date"

module Vantick
  module Core
    module Term
      # How many children of each class meet a published standard, at the ends of terms and today; and what became of those who were far
      # below. For the head of a school: no child is named, and groups in which one could be recognised are not counted.
      class SchoolReport
        TABLE = Facts::DataFile.load("report")

        # So many of so many. `level` is `:none`, `:few`, `:some`, `:nearly_all` or `:all`; `:too_few` where the whole group is small. Only
        # of `:some` there is a number.
        Count = Struct.new(:level, :met, :of, keyword_init: true)

        # @param met [Integer]
        # @param of [Integer]
        # @return [Count]
        def self.count(met, of)
          least = TABLE[:least]
          level = if of < least then :too_few
                  elsif met.zero? then :none
                  elsif met == of then :all
                  elsif met < least then :few
                  elsif of - met < least then :nearly_all
                  else
                    :some
                  end
          Count.new(level:, met: (met if level == :some), of: (of unless level == :too_few)).freeze
        end

        # @param country [String] one of {Wording::English::COUNTRIES}' ids
        # @param today [Integer] a Julian day
        # @return [Array<Integer>] the last ends of terms, oldest first, and today
        def self.days(country, today)
          ends = TABLE[:terms].fetch(country.to_sym, TABLE[:terms][:other])
          year = Date.jd(today).year
          all = (year - 1..year).flat_map { |starting| ends.map { |month, day| Date.new(starting, month, day).jd } }
          [*all.select { |day| day < today }.max(TABLE[:points]).sort, today]
        end

        # @param progress_by_class [Hash{Object => ClassProgress}] by class
        # @param today [Integer] a Julian day
        def initialize(progress_by_class, today:)
          @progress_by_class = progress_by_class
          @today = today
        end

        # @param standard [String] one of {Term::Aim.standards}
        # @param days [Array<Integer>]
        # @return [Hash{Object => Array<Count>}] by class, for each day; none before anybody of it answered
        def classes(standard, days)
          steps = Term::Aim.new(standard).ladder
          @progress_by_class.transform_values { |progress| days.map { |day| count_on(progress, steps, day) } }
        end

        # @param day [Integer]
        # @return [Boolean] whether anybody had answered anything by then
        def answered?(day) = @progress_by_class.values.any? { |progress| answered_by?(progress, day) }

        # @param standard [String] one of the published standards
        # @param days [Array<Integer>]
        # @return [Array<Count, nil>] of the school, for each day: numbers are rounded, words are not
        def total(standard, days)
          steps = Term::Aim.new(standard).ladder
          days.map do |day|
            asked = @progress_by_class.values.select { |progress| answered_by?(progress, day) }
            next if asked.empty?

            rounded(SchoolReport.count(asked.sum { |progress| met(progress, steps, day) }, asked.sum { |year| year.by_child.length }))
          end
        end

        # @param today [Integer]
        # @return [Integer] the day from which on it is looked at what was done for those far below
        def self.since(today) = today - (TABLE[:weeks] * 7)

        private

        def count_on(progress, steps, day)
          SchoolReport.count(met(progress, steps, day), progress.by_child.length) if answered_by?(progress, day)
        end

        def answered_by?(progress, day) = progress.asked.values.any? { |asked| asked.first && asked.first.day <= day }

        def met(progress, steps, day) = progress.by_child.values.count { |child| (steps - child.secure_on(day)).empty? }

        def rounded(count) = Count.new(level: count.level, met: nearest(count.met), of: nearest(count.of)).freeze

        def nearest(many) = many && ((many / TABLE[:rounded_to].to_f).round * TABLE[:rounded_to])
      end
    end
  end
end
