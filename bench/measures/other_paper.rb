# frozen_string_literal: true

require_relative "../paper/other_fields"

module Bench
  # Fields filled in by a hand, and copied by a machine, of another make than the demo's, read as the server reads them.
  class OtherPaper < Family
    include OtherFields

    KINDS = %i[plain hard].freeze
    FIELDS = %i[ticks dials digits].freeze

    # @return [Array<Read>] of all pages of a kind
    def all(what, seed, kind)
      (@all ||= {})[[what, seed, kind]] ||= (1..Sizes[:other_pages]).flat_map { |at| public_send(what, (seed * 1000) + at, kind) }
    end

    def shares(reads)
      alone = reads.count { |read| read.sure && read.right }.fdiv(reads.length)
      ways = reads.group_by(&:way).to_h { |way, some| [way.to_s, some.count { |one| one.sure && one.right }.fdiv(some.length)] }
      [alone, { **ways, "sure and wrong" => reads.count { |read| read.sure && !read.right }.fdiv(reads.length) }]
    end

    # Those that were crossed out and ticked elsewhere are asked, and counted there.
    def alone(what, seed, kind) = Taken.new(*shares(all(what, seed, kind).reject { |one| one.way == :changed }))

    measure(:other_ticks_plain, "boxes to tick, plainly copied: the share read alone", ">= 0.92") do |seed|
      alone(:ticks, seed, :plain)
    end

    measure(:other_ticks_hard, "boxes to tick in a faint pencil, coarsely copied: the share read alone", ">= 0.92") do |seed|
      alone(:ticks, seed, :hard)
    end

    measure(:other_dials_plain, "dials, plainly copied: the share read alone", ">= 0.92") do |seed|
      alone(:dials, seed, :plain)
    end

    measure(:other_dials_hard, "dials in a faint pencil, coarsely copied: the share read alone", ">= 0.92") do |seed|
      alone(:dials, seed, :hard)
    end

    measure(:other_digits_plain, "times in boxes, plainly copied: the share read alone", ">= 0.92") do |seed|
      alone(:digits, seed, :plain)
    end

    measure(:other_digits_hard, "times in boxes in a faint pencil, coarsely copied: the share read alone", ">= 0.92") do |seed|
      alone(:digits, seed, :hard)
    end

    measure(:other_digits_next, "times on the same children's next sheet, the worse copied: the share read alone", ">= 0.92") do |seed|
      found = KINDS.to_h { |kind| [kind.to_s, shares(all(:next_digits, seed, kind))] }
      parts = found.flat_map { |kind, (alone, more)| [[kind, alone], ["#{kind}, sure and wrong", more["sure and wrong"]]] }.to_h
      Taken.new(found.values.map(&:first).min, parts)
    end

    measure(:other_wrong, "of all these fields the share that is sure and wrong", "<= 0.005") do |seed|
      found = KINDS.to_h { |kind| [kind.to_s, FIELDS.flat_map { |what| all(what, seed, kind) }] }
      wrong = found.transform_values { |reads| reads.count { |read| read.sure && !read.right }.fdiv(reads.length) }
      changed = found.values.flatten.select { |one| one.way == :changed }
      asked = changed.empty? ? 1.0 : changed.count { |one| !one.sure }.fdiv(changed.length)
      Taken.new(wrong.values.max, { **wrong, "crossed out and ticked elsewhere: asked" => asked })
    end
  end
end
