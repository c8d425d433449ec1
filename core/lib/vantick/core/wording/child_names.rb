# frozen_string_literal: true

module Vantick
  module Core
    module Wording
      # Children's names as they are told apart: who reads "Ana" and "ana" or "Zoe" and "Zoë" on two lists means one child.
      module ChildNames
        # @param name [String]
        # @return [String] the same however it is typed, without regard to case and accents
        def self.folded(name)
          name.unicode_normalize(:nfkd).gsub(/\p{Mn}/, "").downcase(:fold).gsub(/[[:space:]]+/, " ").strip
        end
      end
    end
  end
end
