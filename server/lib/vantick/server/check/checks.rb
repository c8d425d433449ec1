# frozen_string_literal: true

module Vantick
  module Server
    module Check
      # Checks of a class: their times, and what their answers say.
      class Checks < Handler
        def choose_times = Views::CheckView.choice(choose(params.class_id, params))

        def list_checks
          children = store.classes.find(params.class_id).children
          found = store.checks.all(params.class_id, limit: params.limit + 1, **params.slice(:before, :step, :month, :answered))
          { checks: summaries(found.first(params.limit), children), more: found.length > params.limit }
        end

        def make_check
          class_id = params.class_id
          choice = choose(class_id, body)
          check = store.checks.add(class_id:, step: body.step, task: body.task, times: choice.times.map(&:to_s), made_at: now)
          Views::CheckView.check(check, store.classes.find(class_id), [])
        end

        def read_check
          check = store.checks.find(params.check_id)
          Views::CheckView.check(check, store.classes.find(check.class_id), current(check))
        end

        def remove_check
          check = store.checks.find(params.check_id)
          Store::Removing.check(store, check, now)
        end

        def swap_sheets
          store.checks.swap(params.check_id, body.child_id, body.other_id)
          check = store.checks.find(params.check_id)
          Views::CheckView.check(check, store.classes.find(check.class_id), current(check))
        end

        def read_findings
          check = store.checks.find(params.check_id)
          findings(check, store.classes.find(check.class_id))
        end

        # What Home tells, in one answer.
        def read_news
          school_class = store.classes.find(params.class_id)
          last, answered = [false, true].map { |only| store.checks.all(school_class.id, limit: 1, answered: only).first }
          by_id = summaries([last, answered].compact.uniq, school_class.children).to_h { |summary| [summary[:id], summary] }
          { last: by_id[last&.id], answered: by_id[answered&.id], findings: answered && findings(answered, school_class) }
        end

        private

        def findings(check, school_class)
          answers = current(check)
          why = missing(check, answers, **known_of(school_class.id, school_class.children))
          Views::CheckView.findings(check, school_class, answers, why)
        end

        def summaries(checks, children)
          current = store.answers.current(checks.map(&:id))
          known = known_of(params.class_id, children)
          checks.map do |check|
            answers = current.fetch(check.id, [])
            missing = missing(check, answers, **known)
            Views::CheckView.summary(check, children.reject { |child| missing.key?(child.id) }, answers)
          end
        end

        def current(check) = store.answers.current([check.id]).fetch(check.id, [])

        def known_of(class_id, children)
          { joined: store.register.joined_later(class_id), away: store.away.of(children.map(&:id)) }
        end

        # Why there are no answers of some children: they came later, or a teacher says that they were away.
        # @return [Hash{Integer => String}] by child
        def missing(check, answers, joined:, away:)
          later = joined.keys.select { |id| Store::Register.not_here_then?(joined[id], answers, id) }
          day = Store::SchoolDay.jd(check.made_at)
          gone = away.select { |_, days| days.include?(day) }.keys - answers.map(&:child_id)
          { **later.to_h { |id| [id, "not_here_then"] }, **gone.to_h { |id| [id, "away"] } }
        end

        # A check shows dials: tasks that begin with anything else are not for it yet.
        def dial_task(id)
          known = Core::Tasks::Task.with_dial
          known.find { |task| task.id.to_s == id } || raise(Core::UnknownName.new("task", id, known.map(&:id)))
        end

        def choose(class_id, wanted)
          unfit("This class has no children yet. Add them first.", :class_id) if store.classes.find(class_id).children.empty?

          step = Core::Curriculum::Step.find(wanted.step)
          task = dial_task(wanted.task)
          most = [Core::Choosing::Chooser::IN_A_CHECK, step.pool.length].min
          raise Core::InvalidCount, "A check can have 1 to #{most} clocks." unless (1..most).cover?(wanted.count)

          avoid = store.checks.last_times(class_id, step.id.to_s).map { |time| Core::Dial::DialTime.parse(time) }
          Core::Choosing::Chooser.choose(step:, task:, count: wanted.count, seed: wanted.seed, avoid:)
        end
      end
    end
  end
end
