# frozen_string_literal: true

module Vantick
  module Server
    module Store
      # The ids of what was erased, in a file among the copies: a school's file that is lost is put back from a copy, and the copy may be
      # older than an erasure. Ids alone, each with the sign of its school.
      class ErasedList
        NAME = "erased.txt"

        # @param folder [String] of copies
        # @param sign [String] of the school
        def initialize(folder, sign)
          @file = File.join(folder, NAME)
          @sign = sign
        end

        # @return [Hash{String => Array<Integer>}] ids by kind
        def read
          return {} unless File.file?(@file)

          lines = File.readlines(@file).map(&:split).select { |sign, *rest| sign == @sign && rest.length == 2 }
          lines.group_by { |_, kind, _| kind }.transform_values { |found| found.map { |_, _, id| id.to_i }.uniq }
        end

        # @param erased [Hash{String => Array<Integer>}]
        def add(erased)
          known = read
          lines = erased.flat_map { |kind, ids| (ids - known.fetch(kind, [])).map { |id| "#{@sign} #{kind} #{id}\n" } }
          File.open(@file, "a", SchoolFile::OWN_ALONE) { |file| file.write(lines.join) && file.fsync } if lines.any?
        end
      end
    end
  end
end
