# frozen_string_literal: true

require "base64"

module Vantick
  module Server
    module Classes
      # Lists of children from elsewhere: shown before they are taken, and taken whole or not at all.
      class Rosters < Resource
        include Names

        post "/api/roster-readings" do
          classes = Formats::Roster.read(file).map do |one|
            { id: one.source_id, title: one.title, children: Formats::ListedNames.of(one.children, sent[:names]) }
          end
          answer_json({ classes: })
        end

        post("/api/classes/:class_id/roster-previews") { answer_json(change.told) }

        post "/api/classes/:class_id/rosters" do
          found = change
          check_room(found)
          store.db.transaction { apply(found) }
          answer_json(store.classes.find(input[:class_id]))
        end

        private

        def file = Base64.strict_decode64(sent[:file])

        def change
          listed = chosen
          names = Formats::ListedNames.of(listed.children, sent[:names]).map { |name| tidy(name) }
          check_names(names, :file)
          RosterChange.new(store.register.everybody(input[:class_id]), listed.children.map(&:source_id).zip(names), own_ids)
        end

        def chosen
          classes = Formats::Roster.read(file)
          return classes.first if classes.length == 1

          classes.find { |one| one.source_id == sent[:of] } || unfit("There are #{classes.length} classes in this file: choose one.", :of)
        end

        # Ids that went out with this school's own lists.
        def own_ids
          roster = Formats::OneRoster.new(store.school.sign, nil, {}, now)
          store.register.everybody(input[:class_id]).to_h { |child| [roster.id(:child, child[:id]), child[:id]] }
        end

        def check_room(found)
          stay = store.classes.find(input[:class_id]).children.length + found.added.length + found.back.length
          stay -= found.gone.length if sent[:gone] == "left"
          unfit("A class has at most #{Children::MOST} children: with this list there would be #{stay}.", :file) if stay > Children::MOST
        end

        def apply(found)
          store.register.rename_all(found.renamed.transform_keys { |child| child[:id] })
          leave(found.back, nil)
          leave(found.gone, now) if sent[:gone] == "left"
          add(found.added)
          store.register.keep_ids(input[:class_id], {}, found.ids)
        end

        def add(added)
          store.register.add(input[:class_id], added.map(&:last))
          store.register.keep_ids(input[:class_id], added.to_h(&:reverse), {})
        end

        def leave(children, at) = children.each { |child| store.register.leave(child[:id], at) }
      end
    end
  end
end
