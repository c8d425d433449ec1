# frozen_string_literal: true

module Vantick
  module Core
    module Term
      # How long a child keeps a step: the half-life of what is known, from the day on which the step became secure. All numbers are
      # judgements, in term.yml; the form is half-life regression.
      # @example a step secure on day 10, then right on day 24: 14 * 1.7 * (1 + 0.5) = 35.7 days
      #   Strength.of(answers).days #=> 35.7
      class Strength
        ROW = NUMBERS[:strength].freeze
        GROWS = ROW[:grows].to_f
        MOST = ROW[:most].to_f
        FADING = NUMBERS[:fading]

        # @return [Float] the half-life, in days
        attr_reader :days
        # @return [Integer] the last day on which the step went right
        attr_reader :last_right

        # @param answers [Array<Judging::Secure::Given>] on one step, oldest first; those on steps above count that hold the same times
        # @return [Strength, nil] nothing for a step that never became secure
        def self.of(answers)
          by_day = answers.select { |one| one.marked.telling? }.group_by(&:day)
          began = secure_from(by_day) or return
          later = by_day.select { |day, _| day > began }
          later.reduce(new(ROW[:begin].to_f, began)) { |so_far, (day, given)| so_far.after(given, day) }
        end

        def self.secure_from(by_day)
          so_far = []
          by_day.each do |day, given|
            so_far.concat(given)
            return day if so_far.length >= Judging::Secure::ANSWERS && Judging::Secure.judge(so_far, today: day).state == :secure
          end
          nil
        end
        private_class_method :secure_from

        # @param days [Float]
        # @param last_right [Integer]
        def initialize(days, last_right)
          @days = days
          @last_right = last_right
          freeze
        end

        # @param day [Integer] today, in the same count
        # @return [Float] 0..1, the chance that it is still there
        # @example half of it is left after one half-life
        #   Strength.new(14.0, 0).chance(14) #=> 0.5
        def chance(day) = 2.0**(-[day - last_right, 0].max / days)

        # @param day [Integer]
        def fading?(day) = chance(day) < FADING

        # @param given [Array<Judging::Secure::Given>] the answers of one later day
        # @param day [Integer]
        # @return [Strength]
        def after(given, day)
          right = given.count { |one| one.marked.right? } / given.length.to_f
          return Strength.new(Strength.longer(days, chance(day)), day) if right >= ROW[:right_day]

          right < ROW[:wrong_day] ? Strength.new([days * ROW[:wrong], ROW[:least].to_f].max, last_right) : self
        end

        # @param days [Float] a half-life
        # @param chance [Float] 0..1 that it was still there when it went right
        # @return [Float] the half-life from then on
        def self.longer(days, chance) = [days * GROWS * (2 - chance), MOST].min
      end
    end
  end
end
