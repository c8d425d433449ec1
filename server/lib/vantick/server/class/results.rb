# frozen_string_literal: true

module Vantick
  module Server
    module Classes
      # A class and what its checks came to, for other programs.
      class Results < Handler
        COLUMNS = %i[answered_at child check_id step task time answer verdict half read_as misreadings].freeze

        def export_one_roster
          own_ids = Formats::OwnIds.new(store.school.sign)
          roster = Formats::OneRoster.new(own_ids, school_class, store.register.source_ids(school_class.id),
                                          class_id: store.classes.source_id(school_class.id), teacher: owner)
          file(roster.bundle(checks, now), "oneroster.zip")
        end

        def export_answers
          file(Documents::AnswerTables.rows(COLUMNS, answers), "answers.csv")
        end

        # A line an answer, each JSON by itself.
        def export_answer_lines
          file(answers.map { |row| "#{JSON.generate(row)}\n" }.join, "answers.jsonl")
        end

        private

        def school_class = @school_class ||= store.classes.find(params.class_id)

        # @return [Hash, nil] the account whose class it is: `id` and `name`
        def owner
          id = store.shares.owner(school_class.id)
          store.school.accounts.find { |account| account[:id] == id }
        end

        def answers
          names = school_class.children.to_h { |child| child.values_at(:id, :name) }
          store.answers.of_class(school_class.id).select { |answer| names.key?(answer.child_id) }.map do |answer|
            { **answer.slice(*(COLUMNS - %i[child half])), child: names[answer.child_id], half: half(answer) }
          end
        end

        def half(answer) = Core::Desk::HalfRight.of(Store::MarkedAnswers.from_row(answer, school_class.wording), school_class.wording)

        # Of each check with answers what it came to.
        def checks
          by_check = store.answers.of_class(school_class.id).reject { |answer| answer.verdict == "blank" }.group_by(&:check_id)
          store.checks.all(school_class.id, limit: 1000, answered: true).map do |check|
            title = "#{Core::Curriculum::Step.find(check.step).name}, #{check.made_at[0, 10]}"
            { id: check.id, title:, made_at: check.made_at, scores: scores(by_check.fetch(check.id, [])) }
          end
        end

        # @return [Hash{Integer => Float}] by child, the share of what was answered that was right
        def scores(answers)
          right = ->(answer) { Core::Marking::MarkedAnswer.right?(answer.verdict, school_class.wording) }
          answers.group_by(&:child_id).transform_values { |some| some.count(&right) / some.length.to_f }
        end
      end
    end
  end
end
