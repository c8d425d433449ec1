# frozen_string_literal: true

module Vantick
  module Server
    module Classes
      # Names as they are typed or pasted, and what they are taken for: looked at before a class is made or children are added. The same
      # reader takes the lists that come as files.
      class TypedNames < Handler
        include Names

        def read_names = read([])

        def read_names_beside
          read(store.register.named(params.class_id).values.map { |row| row[:name] })
        end

        private

        # @param beside [Array<String>] who is in the class already
        def read(beside)
          list = Formats::Roster.plain(body.text, { commas: body.commas, typed: true })
          many = list.children.length
          unfit("A class can have at most #{Children::MOST} children. Here are #{many}.", :text) if many > Children::MOST
          { children: children(list.children, beside), commas: list.commas }
        rescue Core::Error => e
          unfit(e.message, :text)
        end

        # Each with the name that it gets, and with the one that another child has, where they are alike.
        def children(listed, beside)
          names = Formats::ListedNames.of(listed, "first").map { |name| tidy(name) }
          check_signs(names, :text)
          taken = beside.to_set { |name| Core::Wording::ChildNames.folded(name) }
          listed.zip(names).map do |entry, name|
            name = Core::Wording::ChildNames.apart(name, taken)
            taken << Core::Wording::ChildNames.folded(name)
            { name:, alike: name == tidy(entry.given) ? nil : tidy(entry.given) }
          end
        end
      end
    end
  end
end
