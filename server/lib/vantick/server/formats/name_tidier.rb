# frozen_string_literal: true

module Vantick
  module Server
    module Formats
      # Names as registers print them, brought to how a child is called: given name and family name apart, and not in capitals.
      module NameTidier
        # First name and family name in one: the second has three letters or more, as one or two only tell children apart.
        FULL = /\A(?<given>[[:alpha:]]\S*)\s+(?<family>[[:alpha:]][[:alpha:]\p{M}'’-]{2,}.*)\z/
        # What tells whether a list is in capitals; shorter ones may be initials.
        WORD = /[[:alpha:]\p{M}]{3,}/
        # See `columns.yml`.
        MOST, FEW = ColumnNames::TABLE.values_at(:most, :few)

        class << self
          # @param listed [Array<Roster::Listed>]
          # @param few [Boolean] whether a few names stay as they are
          # @return [Array<Roster::Listed>] in the same order
          # @example
          #   tidy([Roster::Listed.new(nil, "MIA KLEIN", ""), Roster::Listed.new(nil, "BO ADLER", "")]).first.to_a
          #   # => [nil, "Mia", "Klein"]
          def tidy(listed, few: false)
            return listed if few && listed.length < FEW

            listed = apart(listed)
            given, family = %i[given family].map { |part| settled(listed.map { |child| child[part] }) }
            listed.each_with_index.map { |child, at| Roster::Listed.new(child.source_id, given[at], family[at]) }
          end

          private

          # Where most names are two, the first is the given one.
          def apart(listed)
            parts = listed.map { |child| child.family.empty? && child.given.match(FULL) }
            return listed unless parts.count { |part| part } > listed.length * MOST

            listed.zip(parts).map { |child, part| part ? Roster::Listed.new(child.source_id, part[:given], part[:family]) : child }
          end

          # One name in capitals may be meant so; a list of them is how somebody's program prints.
          def settled(names)
            words = names.flat_map { |name| name.scan(WORD) }
            return names if words.length < 2 || words.any? { |word| word != word.upcase }

            names.map { |name| name.gsub(/[[:alpha:]\p{M}]+/) { |word| word[0] + word[1..].downcase } }
          end
        end
      end
    end
  end
end
