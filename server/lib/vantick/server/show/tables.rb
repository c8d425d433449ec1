# frozen_string_literal: true

module Vantick
  module Server
    module Show
      # The tables that core makes for a class's conventions, as JSON. The last few asked for are kept.
      class Tables
        # Sets of conventions kept (judgement: more than a school works with), and new ones that one teacher may ask for in
        # a minute: each costs a third of a second.
        KEPT = 16
        NEW_A_MINUTE = 20
        Kept = Struct.new(:json, :whose)

        # Somebody asks for ever new ones.
        class TooMany < StandardError; end

        def initialize(&make)
          @make = make
          @kept = {}
          @made = Hash.new { |made, whose| made[whose] = [] }
          @lock = Mutex.new
        end

        # @param conventions [Core::Wording::Conventions]
        # @param whose [Integer, nil] the account that asks
        # @return [String]
        # @raise [TooMany]
        def for(conventions, whose: nil)
          there = @lock.synchronize { @kept.delete(conventions)&.tap { |found| @kept[conventions] = found } || count(whose) }
          return there.json if there

          # Meanwhile others get theirs.
          json = @make.call(conventions).freeze
          @lock.synchronize { keep(conventions, Kept.new(json, whose)) }
          json
        end

        private

        def count(whose)
          now = Process.clock_gettime(Process::CLOCK_MONOTONIC)
          mine = @made[whose].select { |moment| moment > now - 60 }
          raise TooMany if mine.length >= NEW_A_MINUTE

          @made[whose] = [*mine, now]
          nil
        end

        # Whoever has most makes room: nobody pushes out everybody's.
        def keep(conventions, table)
          if @kept.length >= KEPT
            most = @kept.values.map(&:whose).tally.max_by(&:last).first
            @kept.delete(@kept.find { |_, table| table.whose == most }.first)
          end
          @kept[conventions] = table
        end
      end
    end
  end
end
