# frozen_string_literal: true

require "digest"

module Vantick
  module Server
    module Store
      # Where children stand on the ladder, from their answers as the store has them and the lessons that were given.
      module ProgressCache
        KEPT = ResultCache.new
        YEARS = ResultCache.new
        DAYS = ResultCache.new

        # @!attribute record [Core::Teaching::ClassRecord]
        # @!attribute checks [Hash{Integer => Hash}] by check how it was answered, see {Checks#ways}
        Known = Struct.new(:record, :checks) do
          # @param day [Integer] a Julian day
          # @return [Known] without lessons after it
          def until(day) = Known.new(record.until(day), checks)
        end

        # @param school_class [Rows::SchoolClass]
        # @param store [Store::Database]
        # @param today [Integer] the Julian day of today
        # @return [Core::Teaching::ClassProgress]
        def self.of(school_class, store, today:)
          cached(KEPT, school_class, store, today, store.answers.of_class(school_class.id))
        end

        # The same of all answers there are, and not of the last ones alone.
        def self.of_year(school_class, store, today:)
          cached(YEARS, school_class, store, today, store.answers.of_class(school_class.id, limit: nil))
        end

        def self.cached(made, school_class, store, today, answers)
          known = known(store, school_class)
          made_of = [answers, known, today, school_class.slice(:children, :conventions)]
          made.of([store.object_id, school_class.id], made_of) { build(school_class, answers, today, known) }
        end
        private_class_method :cached

        # What all that is said of a class depends on; it costs hardly anything to ask.
        # @param school_class [Rows::SchoolClass]
        # @return [String]
        def self.key(kind, school_class, store, today:)
          ids = school_class.children.map(&:id)
          known = [kind, school_class.id, ids, school_class.conventions, today, answered(store, ids), store.teacher_judgements.mark(ids),
                   store.away.of(ids), store.register.joined_later(school_class.id),
                   lessons(store, school_class.id).map { |lesson| [lesson.step.id, lesson.day] }]
          Digest::SHA256.hexdigest(known.inspect)
        end

        # How many answers there are, the last of them, and the last ruling on them.
        def self.answered(store, ids)
          answers = store.db[:answers].where(child_id: ids)
          [answers.count, answers.max(:id), store.db[:overrules].where(answer_id: answers.select(:id)).max(:id)]
        end
        private_class_method :answered

        # Of one child alone, also one who left the class.
        # @param child [Rows::Child]
        # @param school_class [Rows::SchoolClass]
        # @return [Core::Teaching::ClassProgress]
        def self.of_child(child, school_class, store, today:)
          alone = school_class.with(children: [Rows::ChildName.of(child)].freeze)
          build(alone, store.answers.of_child(child.id), today, known(store, alone))
        end

        # Of a class as it stood at the end of a day, by the answers until then.
        # @param day [Integer] a Julian day
        # @return [Core::Teaching::ClassProgress]
        def self.of_day(school_class, store, day)
          answers = store.answers.of_class(school_class.id, limit: nil).select { |answer| SchoolDay.jd(answer.answered_at) <= day }
          known = known(store, school_class).until(day)
          made_of = [answers, known, day, school_class.slice(:children, :conventions)]
          DAYS.of([store.object_id, school_class.id], made_of) { build(school_class, answers, day, known) }
        end

        # Of one child by some of its answers alone, as it stood on a day.
        # @param answers [Array<Rows::AnswerWithItem>] oldest first
        # @return [Core::Teaching::ClassProgress]
        def self.of_answers(child, school_class, store, answers, today:)
          alone = school_class.with(children: [Rows::ChildName.of(child)].freeze)
          build(alone, answers, today, known(store, alone).until(today))
        end

        # What is believed of a child but for its answers to one check.
        # @return [Core::Knowing::Belief]
        def self.before(child, school_class, store, check_id, today:)
          alone = school_class.with(children: [Rows::ChildName.of(child)].freeze)
          answers = store.answers.of_child(child.id).reject { |answer| answer[:check_id] == check_id }
          build(alone, answers, today, known(store, alone)).by_child.fetch(child.id).belief
        end

        # What is known beside the answers.
        # @return [Known]
        def self.known(store, school_class)
          ids = school_class.children.map(&:id)
          since = store.register.joined_later(school_class.id).slice(*ids).transform_values { |at| SchoolDay.jd(at) }
          record = Core::Teaching::ClassRecord.new(lessons: lessons(store, school_class.id), since:, away: store.away.of(ids),
                                                   judgements: judgements(store, school_class.children))
          Known.new(record, store.checks.ways(ids))
        end
        private_class_method :known

        # @return [Hash{Integer => Array<Core::Teaching::TeacherJudgement>}] by child
        def self.judgements(store, children)
          store.teacher_judgements.of(children.map(&:id)).transform_values do |some|
            some.map do |judgement|
              step = Core::Curriculum::Step.find(judgement[:step])
              Core::Teaching::TeacherJudgement.new(step:, known: judgement[:known], day: SchoolDay.jd(judgement[:said_at]))
            end
          end
        end
        private_class_method :judgements

        def self.build(school_class, answers, today, known)
          conventions = school_class.wording
          by_child = answers.group_by(&:child_id)
          answered = school_class.children.to_h do |child|
            [child.id, by_child.fetch(child.id, []).map { |answer| item_response(answer, conventions, known.checks) }]
          end
          Core::Teaching::ClassProgress.new(answered, today:, record: known.record, conventions:)
        end
        private_class_method :build

        # Those that were given, and on other days those that were planned in the term: a lesson that nobody called off was held.
        # @return [Array<Core::Teaching::SchemeOfWork::GivenLesson>] oldest first
        def self.lessons(store, class_id)
          given = whole(store.lessons.taught(class_id)).map { |row| given_lesson(row.plan.step, SchoolDay.jd(row.given_at)) }
          days = given.map(&:day)
          (given + held(store, class_id).reject { |lesson| days.include?(lesson.day) }).sort_by.with_index { |lesson, at| [lesson.day, at] }
        end

        def self.held(store, class_id)
          planned = store.terms.held(class_id, Date.jd(SchoolDay.today).iso8601)
          planned = planned.reject { |lesson| Core::Teaching::StageMinutes.plain?(lesson[:minutes]) }
          planned.map { |lesson| given_lesson(lesson[:step], Date.iso8601(lesson[:day]).jd) }
        end
        private_class_method :held

        # Nobody learns a step in five minutes.
        def self.whole(lessons) = lessons.reject { |row| Core::Teaching::StageMinutes.plain?(row.plan.minutes) }

        def self.given_lesson(step, day) = Core::Teaching::SchemeOfWork::GivenLesson.new(step: Core::Curriculum::Step.find(step), day:)
        private_class_method :whole, :given_lesson

        # @param checks [Hash{Integer => Hash}] see {Checks#ways}
        # @return [Core::Curriculum::ItemResponse]
        def self.item_response(answer, conventions, checks = {})
          day = SchoolDay.jd(answer.answered_at)
          marked = MarkedAnswers.from_row(answer, conventions)
          Core::Curriculum::ItemResponse.new(step: Core::Curriculum::Step.find(answer.step), marked:, day:, helped: answer.helped == 1,
                                           **checks.fetch(answer.check_id, {}))
        end
      end
    end
  end
end
