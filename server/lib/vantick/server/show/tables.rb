# frozen_string_literal: true

require "digest"
require "zlib"

module Vantick
  module Server
    module Show
      # The tables that core makes for a class's conventions, as JSON. The last few asked for are kept.
      class Tables
        # Sets of conventions kept (judgement: more than a school works with), and new ones that one teacher may ask for in
        # a minute: each costs a third of a second.
        KEPT = 16
        NEW_A_MINUTE = 20
        # A table as it goes out.
        # @!attribute json [String]
        # @!attribute gzip [String] the same, deflated once for all who ask
        # @!attribute tag [String] by which a browser sees that it has it already
        Table = Struct.new(:json, :gzip, :tag) do
          def self.of(json) = new(json.freeze, Zlib.gzip(json).freeze, Digest::SHA256.hexdigest(json)[0, 16].freeze).freeze
        end
        Kept = Struct.new(:table, :whose)

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
        # @return [Table]
        # @raise [TooMany]
        def for(conventions, whose: nil)
          there = @lock.synchronize { @kept.delete(conventions)&.tap { |found| @kept[conventions] = found } || count(whose) }
          return there.table if there

          # Meanwhile others get theirs.
          table = Table.of(@make.call(conventions))
          @lock.synchronize { keep(conventions, Kept.new(table, whose)) }
          table
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
        def keep(conventions, kept)
          if @kept.length >= KEPT
            most = @kept.values.map(&:whose).tally.max_by(&:last).first
            @kept.delete(@kept.find { |_, other| other.whose == most }.first)
          end
          @kept[conventions] = kept
        end
      end
    end
  end
end
