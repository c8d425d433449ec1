# frozen_string_literal: true

module Vantick
  module Server
    module Classes
      # Classes of children.
      class Registers < Resource
        get("/api/classes") { answer_json({ classes: store.classes.all(of: teacher) }) }

        post "/api/classes" do
          names = sent[:children].map { |name| tidy(name) }
          name = tidy(sent[:name])
          unfit("Give the class a name.", :name) if name.empty?
          check_names(names)
          answer_json(store.classes.add(name:, school: tidy(sent.fetch(:school, "")), names:, made_at: now, account_id: teacher),
                      code: 201)
        end

        put "/api/classes/:class_id/conventions" do
          store.classes.find(input[:class_id])
          conventions = Core::Wording::Conventions.new(**sent[:conventions].transform_keys(&:to_sym))
          answer_json(store.classes.change(input[:class_id], conventions: conventions.to_h))
        end

        put "/api/classes/:class_id/day" do
          store.classes.find(input[:class_id])
          day = sent[:day].map { |event| event.transform_keys(&:to_sym) }
          answer_json(store.classes.change(input[:class_id], day: Core::Dial::DayFacts.day(day)))
        end

        private

        def tidy(text) = text.scrub("").gsub(/[[:space:][:cntrl:]]+/, " ").strip

        def check_names(names)
          unfit("Name number #{names.index('') + 1} is empty.", :children) if names.include?("")

          same = names.group_by { |name| Core::Wording::ChildNames.folded(name) }.values.find { |some| some.length > 1 } or return
          called = same.uniq.length == 1 ? "Two children are called #{same.first}" : "#{same.uniq.first(2).join(' and ')} are too alike"
          unfit("#{called}: tell them apart with a letter, such as #{same.last} K.", :children)
        end
      end
    end
  end
end
