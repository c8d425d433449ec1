# frozen_string_literal: true

module Vantick
  module Server
    module Formats
      # What a listed child is called here: as little as tells the children of a class apart, unless the teacher wants more.
      module ListedNames
        HOW = %w[first initial full].freeze
        MOST = Core::Wording::ChildNames::MOST

        class << self
          # @param listed [Array<Roster::Listed>]
          # @param how [String] `first`: the first name, with letters of the family name where two would be alike; `initial`: always
          #   with one letter; `full`: with the family name
          # @return [Array<String>] in the same order
          def of(listed, how)
            letters = { "first" => 0, "initial" => 1, "full" => MOST }.fetch(how)
            names = listed.map { |child| named(child, letters) }
            alike = names.each_index.group_by { |at| folded(names[at]) }.values.reject(&:one?)
            alike.each { |twins| apart(listed, twins, letters).each { |at, name| names[at] = name } }
            names
          end

          private

          def folded(name) = Core::Wording::ChildNames.folded(name)

          # With as many letters of the family name as it takes.
          # @param twins [Array<Integer>] places on the list
          # @return [Hash{Integer => String}] names by place
          def apart(listed, twins, letters)
            longest = twins.map { |at| listed[at].family.to_s.length }.max.clamp(letters, MOST)
            tries = ((letters + 1)..longest).lazy.map { |count| twins.to_h { |at| [at, named(listed[at], count)] } }
            tries.find { |names| names.values.map { |name| folded(name) }.uniq.length == twins.length } ||
              twins.to_h { |at| [at, named(listed[at], MOST)] }
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
