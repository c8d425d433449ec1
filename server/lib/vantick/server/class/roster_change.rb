# frozen_string_literal: true

module Vantick
  module Server
    module Classes
      # What becomes of a class when a list from elsewhere is taken: who comes, comes back, is called otherwise, is not on it.
      class RosterChange
        # @param present [Array<Hash>] children, those who left as well: `id`, `name`, `source_id`, `left_at`
        # @param listed [Array<Array(String, String)>] id and name of each on the list
        # @param own_ids [Hash{String => Integer}] ids that this school gave out itself
        def initialize(present, listed, own_ids)
          @present = present
          @listed = listed
          @pairs = pair(own_ids)
        end

        # @return [Hash] for a person to read before anything is done
        def told
          { added: added.map(&:last), renamed: renamed.map { |child, name| { child_id: child[:id], from: child[:name], to: name } },
            back: back.map { |child| child.slice(:id, :name) }, gone: gone.map { |child| child.slice(:id, :name) },
            same: @pairs.values.length - renamed.length }
        end

        # @return [Array<Array(String, String)>] id and name of who is new
        def added = @listed.reject { |one| @pairs.key?(one) }

        # Who would be called as somebody who is not on the list, left or not, keeps the name there was.
        # @return [Hash{Hash => String}] new names by child
        def renamed
          others = (@present - @pairs.values).map { |child| folded(child[:name]) }
          named = @pairs.to_h { |(_, name), child| [child, name] }
          named.reject { |child, name| child[:name] == name || others.include?(folded(name)) }
        end

        def back = @pairs.values.select { |child| child[:left_at] }

        def gone = @present.reject { |child| child[:left_at] || @pairs.value?(child) }

        # @return [Hash{Integer => String}] by child the id that it has from now on
        def ids = @pairs.to_h { |(source_id, _), child| [child[:id], source_id] }.compact

        private

        # By the id a child came with, by the one it went out with, or by its name.
        def pair(own_ids)
          by_id = ->((id, _), child) { id && child[:source_id] == id }
          by_own_id = ->((id, _), child) { id && child[:id] == own_ids[id] }
          by_name = ->((_, name), child) { folded(child[:name]) == folded(name) }
          left = @present.dup
          [by_id, by_own_id, by_name].each_with_object({}) do |same, pairs|
            (@listed - pairs.keys).each { |one| find(left, one, same)&.then { |child| pairs[one] = left.delete(child) } }
          end
        end

        def find(children, one, same) = children.find { |child| same.call(one, child) }

        def folded(name) = Core::Wording::ChildNames.folded(name)
      end
    end
  end
end
