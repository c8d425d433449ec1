# frozen_string_literal: true

module Vantick
  module Server
    module Classes
      # Lists of children from elsewhere: shown before they are taken, taken whole or not at all, and taken back at one press.
      class Rosters < Resource
        include Names

        post "/api/roster-readings" do
          read = file_read
          check_length(read.first) if read.length == 1
          classes = read.map do |one|
            { id: one.source_id, **one.to_h.slice(:title, :commas, :table, :about), left_out: one.left_out.to_a,
              children: Formats::ListedNames.of(one.children, sent[:names]) }
          end
          answer_json({ classes: })
        end

        post "/api/classes/:class_id/roster-previews" do
          found = change
          answer_json({ **found.summary, doubts: Doubts.of(store, found) })
        end

        post "/api/classes/:class_id/rosters" do
          found = change
          check_room(found)
          take(found)
          answer_json(store.classes.find(input[:class_id]))
        end

        get "/api/classes/:class_id/rosters" do
          store.classes.plain(input[:class_id])
          answer_json({ lists: store.lists_taken.all(input[:class_id]) })
        end

        post "/api/classes/:class_id/rosters/:list_id/return" do
          store.lists_taken.take_back(input[:class_id], input[:list_id], now)
          answer_json(store.classes.find(input[:class_id]))
        end

        private

        def file_read
          said = { **sent.slice(:commas, :columns), skipped: sent.fetch(:skipped, []), today: Clock.now.iso8601[0, 10] }
          Formats::Foreign.roster(file_sent, said)
        end

        def change
          same = sent.fetch(:same, []).to_h { |one| one.values_at("at", "child_id") }
          RosterChange.new(store.register.everybody(input[:class_id]), listed, own_ids, same:, gone: sent[:gone])
        end

        # @return [Array<RosterChange::Listed>]
        def listed
          children = chosen.tap { |one| check_length(one) }.children
          unfit("Choose the column of first names.", :file) if children.empty?
          names = Formats::ListedNames.of(children, sent[:names]).map { |name| tidy(name) }
          check_names(names, :file)
          children.zip(names).map { |one, name| RosterChange::Listed.new(one.source_id, name, one.given, one.family) }
        end

        def chosen
          classes = file_read
          return classes.first if classes.length == 1

          classes.find { |one| one.source_id == sent[:of] } || unfit("This file has #{classes.length} classes. Choose one.", :of)
        end

        # Before anything is worked out with so many names.
        def check_length(listed)
          many = listed.children.length
          unfit("A class can have at most #{Children::MOST} children. This list has #{many}.", :file) if many > Children::MOST
        end

        # Ids that went out with this school's own lists.
        def own_ids
          roster = Formats::OneRoster.new(store.school.sign, nil, {}, now)
          store.register.everybody(input[:class_id]).to_h { |child| [roster.id(:child, child[:id]), child[:id]] }
        end

        def take(found)
          store.lists_taken.take(input[:class_id], found.to_take, now)
          store.classes.known_as(input[:class_id], chosen.source_id) if chosen.source_id
        end

        def check_room(found)
          stay = store.classes.find(input[:class_id]).children.length + found.added.length + found.back.length
          stay -= found.gone.length if sent[:gone] == "left"
          return unless stay > Children::MOST

          unfit("A class can have at most #{Children::MOST} children. With this list there would be #{stay}.",
                :file)
        end
      end
    end
  end
end
