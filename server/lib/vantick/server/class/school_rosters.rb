# frozen_string_literal: true

module Vantick
  module Server
    module Classes
      # One list of all classes of the school, for whoever keeps it: shown before it is taken, taken whole or not at all, and taken back.
      # It comes as a file, or lies in the folder that `VANTICK_ROSTERS` names.
      class SchoolRosters < Handler
        include Names

        NO_CLASSES = "This file has no classes. A bundle (OneRoster) has them, or a table with a column of classes."

        def list_school_rosters = taken

        def preview_school_roster = preview

        def import_school_roster
          keepers_only
          found = parts
          found.each { |part| check_room(part) }
          store.school_rosters.take(found.map { |part| to_take(part) }, now)
          taken
        end

        def return_school_roster
          raise Store::Missing.new("list", params.school_list_id, field: "school_list_id") unless keeper?

          store.school_rosters.take_back(params.school_list_id, now)
          taken
        end

        private

        def taken
          keepers_only
          { lists: store.school_rosters.all, files: Work::RosterFolder.files }
        end

        def preview
          keepers_only
          found = parts
          { classes: found.map { |part| part_json(part) }, untouched: names(roster.untouched(found)), accounts: store.school.accounts,
            here: names(classes.reject { |school_class| school_class[:archived] }) }
        end

        def part_json(part)
          { id: part.listed.source_id, title: part.listed.title, about: part.listed.about.to_s, class_id: part.class_id,
            account_id: part.class_id ? owner(part.class_id) : account(part), left_out: part.left_out,
            moved: part.movers.map { |child| { **child.slice(:id, :name), from: class_name_of(child) } },
            **part.change.summary, doubts: Doubts.of(store, part.change) }
        end

        def names(classes) = classes.map { |school_class| school_class.slice(:id, :name, :account_id) }

        def classes = @classes ||= store.school_rosters.classes

        def owner(class_id) = classes.find { |school_class| school_class[:id] == class_id }[:account_id]

        # The teacher whom the list names, where somebody here is called so; else whoever keeps the school.
        def account(part)
          return part.account_id if part.account_id

          named = store.school.accounts.find { |account| part.listed.about.to_s.match?(/\b#{Regexp.escape(account[:name])}\b/i) }
          named ? named[:id] : teacher
        end

        def present
          @present ||= classes.to_h { |school_class| [school_class[:id], store.register.everybody(school_class[:id])] }
        end

        def class_name_of(child)
          classes.find { |school_class| present[school_class[:id]].any? { |other| other[:id] == child[:id] } }[:name]
        end

        def roster
          @roster ||= begin
            ids = Formats::OwnIds.new(store.school.sign)
            SchoolRoster.new(classes, present, present.values.flatten.to_h { |child| [ids.of(:child, child[:id]), child[:id]] })
          end
        end

        def parts
          choices = body.classes.to_h { |choice| [choice.of, chosen(choice)] }
          wanted = listed.reject { |entry, _| choices.dig(entry.source_id, :left_out) }
          unfit("Choose at least one class.", :classes) if wanted.empty?
          roster.parts(wanted, choices, body.gone).tap { |found| check_targets(found) }
        end

        def chosen(one)
          same = one.same.to_h { |pair| [pair.at, pair.child_id] }
          { **one.slice(:class_id, :account_id, :left_out), same: }
        end

        # Of each class of the list its children, under the names that are kept.
        def listed
          found = file_read.reject { |entry| entry.source_id.nil? }
          unfit(NO_CLASSES, :file) if found.empty?
          found.map { |entry| [entry, named(entry)] }
        end

        # @return [Array<RosterChange::Listed>]
        def named(one)
          check_length(one)
          names = Formats::ListedNames.of(one.children, body.names).map { |name| tidy(name) }
          check_names(names, :file)
          one.children.zip(names).map { |child, name| RosterChange::Listed.new(child.source_id, name, child.given, child.family) }
        end

        def file_read
          bytes = body.from ? Work::RosterFolder.read(body.from) : file_sent
          Formats::Foreign.roster(bytes, { today: Clock.now.iso8601[0, 10], skipped: [], classes: true })
        end

        def check_length(one)
          return if one.children.length <= Children::MOST

          unfit("A class can have at most #{Children::MOST} children. #{one.title} has #{one.children.length}.", :file)
        end

        # Two classes of the list are no one class here, and each that is named is one of the school's.
        def check_targets(found)
          ids = found.filter_map(&:class_id)
          twice = ids.tally.find { |_, many| many > 1 }&.first
          names = classes.to_h { |school_class| school_class.values_at(:id, :name) }
          unfit("Two classes of the list can't both be #{names[twice]}.", :classes) if twice
          unknown = ids - names.keys
          raise Store::Missing.new("class", unknown.first) if unknown.any?
        end

        def check_room(part)
          change = part.change.summary
          stay = change[:same] + change[:renamed].length + change[:back].length + change[:added].length
          stay += change[:gone].length unless body.gone == "left"
          return if stay <= Children::MOST

          unfit("#{part.listed.title} would have #{stay} children. A class can have at most #{Children::MOST}.", :file)
        end

        def to_take(part)
          { class_id: part.class_id, source_id: own_id(part), movers: part.movers.map { |child| child[:id] },
            new: (new_class(part) unless part.class_id), change: part.change.to_take }
        end

        # A table has names of classes and no ids.
        def own_id(part) = part.listed.source_id.start_with?(Formats::Roster::NAMED) ? nil : part.listed.source_id

        def new_class(part)
          account_id = account(part)
          raise Store::Missing.new("account", account_id, field: "account_id") unless store.school.account?(account_id)

          conventions = Core::Wording::English.conventions_of(store.school.country[:id]).to_h
          { name: class_name(part.listed.title.to_s[0, 60]), school: "", account_id:, conventions: }
        end
      end
    end
  end
end
