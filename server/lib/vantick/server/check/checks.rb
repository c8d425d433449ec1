# frozen_string_literal: true

module Vantick
  module Server
    module Check
      # Checks of a class: their times, and what their answers say.
      class Checks < Resource
        get("/api/classes/:class_id/choice") { answer_json(Views::CheckView.choice(choose(input[:class_id], input))) }

        get "/api/classes/:class_id/checks" do
          children = store.classes.find(input[:class_id])[:children]
          limit = input.fetch(:limit, 30)
          found = store.checks.all(input[:class_id], limit: limit + 1, **input.slice(:before, :step, :month, :answered))
          checks = found.first(limit)
          current = store.answers.current(checks.map { |check| check[:id] })
          known = known_of(input[:class_id], children)
          summaries = checks.map do |check|
            answers = current.fetch(check[:id], [])
            missing = missing(check, answers, **known)
            here = children.reject { |child| missing.key?(child[:id]) }
            Views::CheckView.summary(check, here, answers)
          end
          answer_json({ checks: summaries, more: found.length > limit })
        end

        post "/api/classes/:class_id/checks" do
          class_id = input[:class_id]
          choice = choose(class_id, sent)
          check = store.checks.add(class_id:, step: sent[:step], task: sent[:task], times: choice.times.map(&:to_s), made_at: now)
          answer_json(Views::CheckView.check(check, store.classes.find(class_id), []), code: 201)
        end

        get "/api/checks/:check_id" do
          check = store.checks.find(input[:check_id])
          answer_json(Views::CheckView.check(check, store.classes.find(check[:class_id]), current(check)))
        end

        delete "/api/checks/:check_id" do
          check = store.checks.find(input[:check_id])
          answer_json(Store::Removing.check(store, check, now))
        end

        put "/api/checks/:check_id/letters" do
          store.checks.swap(input[:check_id], sent[:child_id], sent[:other_id])
          check = store.checks.find(input[:check_id])
          answer_json(Views::CheckView.check(check, store.classes.find(check[:class_id]), current(check)))
        end

        get "/api/checks/:check_id/findings" do
          check = store.checks.find(input[:check_id])
          answers = current(check)
          school_class = store.classes.find(check[:class_id])
          why = missing(check, answers, **known_of(school_class.id, school_class.children))
          answer_json(Views::CheckView.findings(check, school_class, answers, why))
        end

        private

        def current(check) = store.answers.current([check[:id]]).fetch(check[:id], [])

        def known_of(class_id, children)
          { joined: store.register.joined_later(class_id), away: store.away.of(children.map { |child| child[:id] }) }
        end

        # Why there are no answers of some children: they came later, or a teacher says that they were away.
        # @return [Hash{Integer => String}] by child
        def missing(check, answers, joined:, away:)
          later = joined.keys.select { |id| Store::Register.not_here_then?(joined[id], answers, id) }
          day = Store::SchoolDay.jd(check[:made_at])
          gone = away.select { |_, days| days.include?(day) }.keys - answers.map { |answer| answer[:child_id] }
          { **later.to_h { |id| [id, "not_here_then"] }, **gone.to_h { |id| [id, "away"] } }
        end

        # A check shows dials: tasks that begin with anything else are not for it yet.
        def dial_task(id)
          known = Core::Marking::Task.with_dial
          known.find { |task| task.id.to_s == id } || raise(Core::UnknownName.new("task", id, known.map(&:id)))
        end

        def choose(class_id, wanted)
          unfit("This class has no children yet. Add them first.", :class_id) if store.classes.find(class_id)[:children].empty?

          step = Core::Teaching::Step.find(wanted[:step])
          task = dial_task(wanted[:task])
          most = [Core::Choosing::Chooser::IN_A_CHECK, step.pool.length].min
          raise Core::InvalidCount, "A check can have 1 to #{most} clocks." unless (1..most).cover?(wanted[:count])

          avoid = store.checks.last_times(class_id, step.id.to_s).map { |time| Core::Dial::DialTime.parse(time) }
          Core::Choosing::Chooser.choose(step:, task:, count: wanted[:count], seed: wanted[:seed], avoid:)
        end
      end
    end
  end
end
