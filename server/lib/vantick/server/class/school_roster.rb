# frozen_string_literal: true

module Vantick
  module Server
    module Classes
      # What becomes of all classes of a school when one list of them is taken: children come and leave, move between classes with their
      # records, and classes are made. Each class's part is a {RosterChange}.
      class SchoolRoster
        # A class of the list with what it becomes: the class here that it is (nothing for a new one), who moves into it, the change, and
        # why a child is left out.
        Part = Struct.new(:listed, :class_id, :account_id, :movers, :change, :left_out, keyword_init: true)

        # @param classes [Array<Hash>] of the school: `id`, `name`, `source_id`, `account_id`, `archived`
        # @param present [Hash{Integer => Array<Hash>}] by class its children, as {RosterChange} takes them
        # @param own_ids [Hash{String => Integer}] ids of children that this school gave out itself
        def initialize(classes, present, own_ids)
          @classes = classes
          @present = present
          @own_ids = own_ids
          @archived = classes.select { |school_class| school_class[:archived] }.map { |school_class| school_class[:id] }
          @class_of = present.flat_map { |id, children| children.map { |child| [child[:id], id] } }.to_h
          @by_source = present.values.flatten.group_by { |child| child[:source_id] }
        end

        # @param listed [Array<Array(Formats::Roster::ListedClass, Array<RosterChange::Listed>)>] the list's classes, each with its children
        # @param choices [Hash{String => Hash}] by class of the list what was chosen: `class_id`, `account_id`, `same`
        # @param gone [String] what becomes of who is on no list: `stay` or `left`
        # @return [Array<Part>]
        def parts(listed, choices, gone)
          @choices = choices
          @targets = listed.to_h { |entry, _| [entry.source_id, target(entry)] }
          placed = placed(listed)
          @moving = movers(placed)
          listed.map { |entry, _| part(entry, placed.fetch(entry.source_id, []), gone) }
        end

        # @param parts [Array<Part>]
        # @return [Array<Hash>] classes here that the list does not have
        def untouched(parts)
          met = parts.map(&:class_id)
          @classes.reject { |school_class| school_class[:archived] || met.include?(school_class[:id]) }
        end

        private

        # The class that was chosen, or the one with this id, or the only one of this name.
        def target(listed)
          chosen = @choices.fetch(listed.source_id, {})
          return chosen[:class_id] if chosen.key?(:class_id)

          here = @classes.reject { |school_class| school_class[:archived] }
          known = here.find { |school_class| school_class[:source_id] == listed.source_id }
          (known || of_name(here, listed))&.fetch(:id)
        end

        def of_name(here, listed)
          named = here.select { |school_class| school_class[:source_id].nil? && folded(school_class[:name]) == folded(listed.title) }
          named.first if named.one?
        end

        # A child is in one class here: in the one where it is already, or in the first that lists it.
        # @return [Hash{String => Array<RosterChange::Listed>}] by class of the list
        def placed(listed)
          @twice = Hash.new { |all, id| all[id] = [] }
          places = listed.flat_map { |entry, children| children.map { |child| [child, entry] } }.group_by { |child, _| child.source_id }
          listed.to_h { |entry, children| [entry.source_id, children.select { |child| here?(child, entry, places) }] }
        end

        def here?(child, listed, places)
          return true if child.source_id.nil?

          first = counted_in(child, places.fetch(child.source_id).map(&:last))
          return true if first.equal?(listed)

          @twice[listed.source_id] << "#{child.name} is also in #{first.title}, and is counted there."
          false
        end

        def counted_in(child, all)
          now = known(child).map { |record| @class_of[record[:id]] }
          all.find { |entry| now.include?(@targets[entry.source_id]) } || all.first
        end

        # The children of this school that a child of the list is for certain: one as a rule. Last year's class may still have a row of a
        # child who was new in this year's; whoever is in a class now comes first.
        def known(child)
          return [] if child.source_id.nil?

          own = @own_ids[child.source_id]
          found = @by_source.fetch(child.source_id, []) + (own ? @present.values.flatten.select { |record| record[:id] == own } : [])
          found.sort_by.with_index { |record, at| [record[:left_at] ? 1 : 0, archived?(record) ? 1 : 0, at] }
        end

        def archived?(child) = @archived.include?(@class_of[child[:id]])

        # @return [Hash{String => Array<Hash>}] by class of the list the children who come into it from another
        def movers(placed)
          placed.to_h do |source_id, children|
            found = children.map { |child| known(child) }
            elsewhere = found.reject { |all| all.any? { |record| @class_of[record[:id]] == @targets[source_id] } }
            [source_id, elsewhere.filter_map(&:first)]
          end
        end

        def part(listed, children, gone)
          chosen = @choices.fetch(listed.source_id, {})
          movers = @moving[listed.source_id]
          change = RosterChange.new(staying(listed) + here(movers), children, @own_ids, same: chosen.fetch(:same, {}), gone:)
          Part.new(listed:, class_id: @targets[listed.source_id], account_id: chosen[:account_id], movers:, change:,
                   left_out: listed.left_out.to_a + @twice[listed.source_id])
        end

        # Of the class here those who move nowhere.
        def staying(listed)
          out = @moving.values.flatten.map { |child| child[:id] }
          @present.fetch(@targets[listed.source_id], []).reject { |child| out.include?(child[:id]) }
        end

        # Who moves is asked for again, also after having left the class before.
        def here(movers) = movers.map { |child| { **child, left_at: nil } }

        def folded(name) = Core::Wording::ChildNames.folded(name.to_s)
      end
    end
  end
end
