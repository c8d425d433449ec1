# frozen_string_literal: true

module Vantick
  module Server
    module Formats
      # What a listed child is called here: as little as tells the children of a class apart, unless the teacher wants more.
      module ListedNames
        HOW = %w[first initial full].freeze
        MOST = 30

        class << self
          # @param listed [Array<Roster::Listed>]
          # @param how [String] `first`: the first name, with letters of the family name where two would be alike; `initial`: always
          #   with one letter; `full`: with the family name
          # @return [Array<String>] in the same order
          def of(listed, how)
            letters = { "first" => 0, "initial" => 1, "full" => MOST }.fetch(how)
            found = listed.map { |one| named(one, letters) }
            found.each_with_index.map { |name, at| twin?(found, at) ? apart(listed, found, at, letters) : name }
          end

          private

          def folded(name) = Core::Wording::ChildNames.folded(name)

          def twin?(names, at) = names.count { |name| folded(name) == folded(names[at]) } > 1

          # With as many letters of the family name as it takes.
          def apart(listed, names, at, letters)
            twins = listed.each_index.select { |other| folded(names[other]) == folded(names[at]) }
            more = ((letters + 1)..MOST).find do |count|
              twins.map { |other| folded(named(listed[other], count)) }.uniq.length == twins.length
            end
            named(listed[at], more || MOST)
          end

          def named(one, letters)
            family = one.family.to_s
            return one.given[0, MOST] if letters.zero? || family.empty?

            "#{one.given} #{letters >= family.length ? family : "#{family[0, letters]}."}"[0, MOST].strip
          end
        end
      end
    end
  end
end
