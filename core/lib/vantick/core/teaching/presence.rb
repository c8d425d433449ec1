# frozen_string_literal: true

module Vantick
  module Core
    module Teaching
      # Who was there on which day: as a teacher says, and else by who answered.
      class Presence
        ROW = Facts::DataFile.load("term")[:forecast].freeze

        # @param asked [Hash{Object => Array<Curriculum::ItemResponse>}] by child
        # @param away [Hash{Object => Array<Integer>}] by child, days on which a teacher says it was away
        # @param since [Hash{Object => Integer}] by child, the day on which it came into the class, where that was later
        def initialize(asked, away: {}, since: {})
          @days = asked.transform_values { |given| given.map(&:day).uniq }
          @away = away
          @since = since
          freeze
        end

        # @param key [Object] of a child
        # @param day [Integer]
        # @return [Boolean] unknown is there: on a day on which less than half of the class answered nobody can be told to be missing
        def there?(key, day)
          days = @days.fetch(key)
          return true if days.include?(day)

          !full?(day) && !@away.fetch(key, []).include?(day) && day >= @since.fetch(key, day)
        end

        # How often children of this class are away: on days on which most of it answered, those who did not, and those of whom it is
        # said; what is assumed of all weighs like some lessons.
        # @return [Float] 0..1
        def away
          days = tally.keys.select { |day| full?(day) } | @away.values.flatten
          missed = days.sum { |day| missing(day) }
          (missed + (ROW[:away_weight] * ROW[:away])) / (days.length + ROW[:away_weight])
        end

        private

        def tally = @days.values.flatten.tally

        def full?(day) = tally.fetch(day, 0) >= SchemeOfWork::ROW[:met_share] * @days.length

        # The share of those who were in the class by then.
        def missing(day)
          here = @days.keys.select { |key| day >= @since.fetch(key, day) }
          here.empty? ? 0.0 : here.count { |key| !there?(key, day) } / here.length.to_f
        end
      end
    end
  end
end
