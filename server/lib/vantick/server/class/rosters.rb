# frozen_string_literal: true

module Vantick
  module Server
    module Classes
      # Lists of children from elsewhere: shown before they are taken, taken whole or not at all, and taken back at one press.
      class Rosters < Handler
        include Names

        def read_roster
          read = file_read
          check_length(read.first) if read.length == 1
          classes = read.map do |list|
            { id: list.source_id, **list.to_h.slice(:title, :commas, :table, :about), left_out: list.left_out.to_a,
              children: Formats::ListedNames.of(list.children, body.names) }
          end
          { classes: }
        end

        def preview_roster
          found = change
          { **found.summary, doubts: Doubts.of(store, found) }
        end

        def import_roster
          found = change
          check_room(found)
          take(found)
          store.classes.find(params.class_id)
        end

        def list_rosters
          store.classes.plain(params.class_id)
          { lists: store.lists_taken.all(params.class_id) }
        end

        def return_roster
          store.lists_taken.take_back(params.class_id, params.list_id, now)
          store.classes.find(params.class_id)
        end

        private

        def file_read
          settings = { **body.slice(:commas, :columns), skipped: body.skipped, today: Clock.now.iso8601[0, 10] }
          Formats::Foreign.roster(file_sent, settings)
        end

        def change
          same = body.same.to_h { |pair| [pair.at, pair.child_id] }
          RosterChange.new(store.register.everybody(params.class_id), listed, own_ids, same:, gone: body.gone)
        end

        # @return [Array<RosterChange::Listed>]
        def listed
          children = chosen.tap { |list| check_length(list) }.children
          unfit("Choose the column of first names.", :file) if children.empty?
          names = Formats::ListedNames.of(children, body.names).map { |name| tidy(name) }
          check_names(names, :file)
          children.zip(names).map { |child, name| RosterChange::Listed.new(child.source_id, name, child.given, child.family) }
        end

        def chosen
          classes = file_read
          return classes.first if classes.length == 1

          classes.find { |listed_class| listed_class.source_id == body.of } ||
            unfit("This file has #{classes.length} classes. Choose one.", :of)
        end

        # Before anything is worked out with so many names.
        def check_length(listed)
          many = listed.children.length
          unfit("A class can have at most #{Children::MOST} children. This list has #{many}.", :file) if many > Children::MOST
        end

        # Ids that went out with this school's own lists.
        def own_ids
          ids = Formats::OwnIds.new(store.school.sign)
          store.register.everybody(params.class_id).to_h { |child| [ids.of(:child, child[:id]), child[:id]] }
        end

        def take(found)
          store.lists_taken.take(params.class_id, found.to_take, now)
          store.classes.known_as(params.class_id, chosen.source_id) if chosen.source_id
        end

        def check_room(found)
          stay = store.classes.find(params.class_id).children.length + found.added.length + found.back.length
          stay -= found.gone.length if body.gone == "left"
          return unless stay > Children::MOST

          unfit("A class can have at most #{Children::MOST} children. With this list there would be #{stay}.",
                :file)
        end
      end
    end
  end
end
