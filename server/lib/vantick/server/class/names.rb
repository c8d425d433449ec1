# frozen_string_literal: true

module Vantick
  module Server
    module Classes
      # Names of children and classes as they were typed: made tidy, and none too like another.
      module Names
        # Hidden signs by which letters are read in another direction than they are typed (Unicode, UAX 9).
        TURNS = /[\u061C\u200E\u200F\u202A-\u202E\u2066-\u2069]/

        private

        def tidy(text) = text.scrub("").gsub(/[[:space:][:cntrl:]]+/, " ").strip

        # @param names [Array<String>] tidy
        # @param field [Symbol] where they were typed
        # @param beside [Array<String>] names that there are already
        # @raise [Core::Error] for all that are too like another
        def check_names(names, field, beside: [])
          unfit("Name number #{names.index('') + 1} is empty.", field) if names.include?("")
          check_signs(names, field)
          alike = (beside + names).group_by { |name| Core::Wording::ChildNames.folded(name) }.values
          alike = alike.select { |some| some.length > 1 && names.include?(some.last) }
          return if alike.empty?

          unfit("#{alike.map do |some|
            too_alike(some)
          end.join(', ')}. Add a letter to tell them apart, such as #{alike.first.last} K.", field)
        end

        def check_signs(names, field)
          turned = names.find { |name| name.match?(TURNS) }
          unfit("#{turned.gsub(TURNS, '')} has hidden characters. Type the name again.", field) if turned
        end

        def too_alike(names)
          names.uniq.one? ? "Two children are called #{names.first}" : "#{names.uniq.first(2).join(' and ')} look too alike"
        end

        def class_name(text)
          name = tidy(text)
          unfit("Give the class a name.", :name) if name.empty?
          unfit("The name has hidden characters. Type it again.", :name) if name.match?(TURNS)
          name
        end
      end
    end
  end
end
