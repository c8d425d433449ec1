# frozen_string_literal: true

module Vantick
  module Core
    module Wording
      # Children's names as they are told apart: who reads "Ana" and "ana" or "Zoe" and "Zoë" on two lists means one child.
      module ChildNames
        # As many letters are kept of a name.
        MOST = 30

        class << self
          # @param name [String]
          # @return [String] the same however it is typed, without regard to case and accents
          def folded(name)
            name.unicode_normalize(:nfkd).gsub(/\p{Mn}/, "").downcase(:fold).gsub(/[[:space:]]+/, " ").strip
          end

          # @param name [String]
          # @param taken [Enumerable<String>] names that there are, folded
          # @return [String] the name, or with the first number that tells it apart
          # @example
          #   ChildNames.apart("Ana", ["ana"]) # => "Ana 2"
          def apart(name, taken)
            return name unless taken.include?(folded(name))

            (2..).lazy.map { |number| "#{name[0, MOST - 4]} #{number}" }.find { |candidate| !taken.include?(folded(candidate)) }
          end
        end
      end
    end
  end
end
