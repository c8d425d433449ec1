# frozen_string_literal: true

module Vantick
  module Server
    module Classes
      # What becomes of a class when a list from elsewhere is taken. A child is known again for certain by an id alone. Where a name is
      # all there is, or a child who left would come back, a teacher says whether it is the same child: until then it is another, so
      # that nobody gets another child's record.
      class RosterChange
        # A child as the list has it: the name that is kept of it, and whether it may be one who is called so.
        Listed = Struct.new(:source_id, :name, :given, :family) do
          # @param name [String] folded
          # @return [Boolean] whether a child of this name may be this one: by its first name, and what is kept of the family name
          def called?(name)
            first, last = [given, family.to_s].map { |part| Core::Wording::ChildNames.folded(part) }
            return true if name == first
            return false unless name.start_with?("#{first} ")

            letters = name.delete_prefix("#{first} ").delete_suffix(".")
            last.empty? ? letters.length == 1 : last.start_with?(letters)
          end
        end

        # @param present [Array<Hash>] children, those who left as well: `id`, `name`, `source_id`, `left_at`
        # @param listed [Array<Listed>] no two of one name
        # @param own_ids [Hash{String => Integer}] ids that this school gave out itself
        # @param same [Hash{Integer => Integer}] what a teacher said: by place on the list, the child whom it is
        # @param gone [String] what becomes of who is not on the list: `stay` or `left`
        # @raise [Core::Error] where a teacher's word fits nobody
        def initialize(present, listed, own_ids, same: {}, gone: "stay")
          @present = present
          @listed = listed
          @own_ids = own_ids
          @gone = gone
          @folded = present.to_h { |child| [child[:id], folded(child[:name])] }
          @pairs = sure
          @doubts = doubtful
          same.each { |at, child_id| settle(at, child_id) }
        end

        # @return [Hash] for a person to read before anything is done
        def summary
          { added: added.map(&:last), renamed: renamed.map { |child, name| { child_id: child[:id], from: child[:name], to: name } },
            gone: gone.map { |child| child.slice(:id, :name) }, same: @pairs.length - renamed.length - back.length,
            back: back.map { |child| child.slice(:id, :name) } }
        end

        # @return [Hash] the same as {Store::ListsTaken#take} takes it
        def to_take
          { names: renamed.merge(giving_way).transform_keys { |child| child[:id] }, back: ids_of(back), ids:, added:,
            gone: @gone == "left" ? ids_of(gone) : [] }
        end

        # @return [Hash{Integer => Array<Hash>}] by place on the list, the children of the class who may be it
        attr_reader :doubts

        # @return [String] what the child at a place of the list is called there
        def name_at(at) = @listed[at].name

        # @return [Array<Array(String, String)>] id and name of who is new; a name that somebody keeps has a number behind it
        def added
          names = renamed
          taken = (staying + @pairs.values).map { |child| folded(names.fetch(child, child[:name])) }
          new_ones = @listed.each_index.reject { |at| @pairs.key?(at) }.map { |at| @listed[at] }
          new_ones.map do |child|
            name = Core::Wording::ChildNames.apart(child.name, taken)
            taken << folded(name)
            [child.source_id, name]
          end
        end

        # Who would be called as somebody who keeps a name keeps the own one too, and so does a child of two who share a first name,
        # whose letter would be taken away.
        # @return [Hash{Hash => String}] new names by child
        def renamed
          wanted = @pairs.to_h { |at, child| [child, @listed[at].name] }.reject { |child, name| child[:name] == name }
          loop do
            kept = (@present - wanted.keys).map { |child| folded(child[:name]) }
            free = wanted.reject { |_, name| kept.any? { |other| other == folded(name) || other.start_with?("#{folded(name)} ") } }
            return wanted if free.length == wanted.length

            wanted = free
          end
        end

        # Who left, or leaves with this list, gives way to a child who comes and is called alike.
        # @return [Hash{Hash => String}] new names by child
        def giving_way
          wanted = added.map { |_, name| folded(name) } + renamed.values.map { |name| folded(name) }
          names = @present.map { |child| folded(child[:name]) } + wanted
          leaving.select { |child| wanted.include?(folded(child[:name])) }.to_h do |child|
            name = Core::Wording::ChildNames.apart("#{child[:name][0, 20]} (earlier)", names)
            names << folded(name)
            [child, name]
          end
        end

        # @return [Array<Hash>] children who left and are on the list
        def back = @pairs.values.select { |child| child[:left_at] }

        # @return [Array<Hash>] children who are in the class and not on the list
        def gone
          known = @pairs.values.to_h { |child| [child[:id], true] }
          @present.reject { |child| child[:left_at] || known[child[:id]] }
        end

        # @return [Hash{Integer => String, nil}] by child the id that it has from now on; none where another child came with it
        def ids
          known = @pairs.to_h { |at, child| [child[:id], @listed[at].source_id] }.compact
          new_ids = added.to_h { |source_id, _| [source_id, true] }
          lost = @present.select { |child| child[:source_id] && new_ids[child[:source_id]] }
          lost.to_h { |child| [child[:id], nil] }.merge(known)
        end

        private

        # By the id a child came with, or the one it went out with. Who left is asked about.
        def sure
          by_id = @present.to_h { |child| [child[:source_id], child] }
          by_number = @present.to_h { |child| [child[:id], child] }
          found = @listed.each_with_index.to_h { |listed, at| [at, by_id[listed.source_id] || by_number[@own_ids[listed.source_id]]] }
          found = found.compact.select { |at, _| @listed[at].source_id }
          @returning, known = found.partition { |_, child| child[:left_at] }.map(&:to_h)
          known
        end

        # By name where one side has no id, and whoever comes back.
        def doubtful
          taken = (@pairs.values + @returning.values).to_h { |child| [child[:id], true] }
          free = @present.reject { |child| taken[child[:id]] }.group_by { |child| @folded[child[:id]][/\A\S+/] }
          left = @listed.each_index.reject { |at| @pairs.key?(at) || @returning.key?(at) }
          named = left.to_h { |at| [at, may_be(@listed[at], free)] }.reject { |_, children| children.empty? }
          named.merge(@returning.transform_values { |child| [child] })
        end

        # Those whose letters fit best come first, then those who are here.
        def may_be(one, free)
          fitting = free.fetch(folded(one.given)[/\A\S+/], []).select do |child|
            !(one.source_id && child[:source_id]) && one.called?(@folded[child[:id]])
          end
          fitting.sort_by { |child| [child[:left_at] ? 1 : 0, -child[:name].length] }
        end

        def settle(at, child_id)
          child = @doubts.fetch(at, []).find { |candidate| candidate[:id] == child_id }
          raise Core::Error.new("#{@listed[at]&.name || 'A child'} on the list can't be that child.", field: :same) unless child
          raise Core::Error.new("#{child[:name]} can't be two children on the list.", field: :same) if @pairs.value?(child)

          @pairs[at] = child
        end

        def ids_of(children) = children.map { |child| child[:id] }

        def staying = @gone == "left" ? [] : gone

        # Who is out of the class once the list is taken.
        def leaving = @present.select { |child| child[:left_at] } - @pairs.values + (@gone == "left" ? gone : [])

        def folded(name) = Core::Wording::ChildNames.folded(name)
      end
    end
  end
end
