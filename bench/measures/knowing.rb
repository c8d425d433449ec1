# frozen_string_literal: true

require_relative "../children/history"
require_relative "../models/last_ten"
require_relative "../models/successes"
require_relative "../models/tracing_by_kinds"

module Bench
  # How well the model knows made-up children of four families that share neither code nor numbers; one is held out from all choosing
  # of numbers. The worst family stands beside the mean.
  class KnowingChildren < Family
    FAMILIES = Children::FAMILIES.keys.first(Sizes[:families]).freeze
    CLASSES = Children::CLASSES.first(Sizes[:classes_of_children]).freeze
    LATER = 56

    def histories(seed)
      (@histories ||= {})[seed] ||= FAMILIES.to_h do |family|
        [family, CLASSES.map do |kind|
          Children::History.new(family, kind, seed, count: Sizes[:children_of_each]).run(Sizes[:history_lessons])
        end]
      end
    end

    # Loss of every model, by family: the mean of minus the logarithm of what was expected of the answer that came.
    def losses(seed)
      (@losses ||= {})[seed] ||= begin
        weights = Successes.fitted(answers_of_others(seed), Random.new(seed))
        makes = { knowing: -> { Knowing::Belief.new }, tracing: -> { TracingByKinds.new }, last_ten: -> { LastTen.new },
                  successes: -> { Successes.new(weights) } }
        histories(seed).transform_values do |all|
          makes.transform_values do |make|
            mean(all.flat_map do |history|
              losses_of(history, make)
            end)
          end
        end
      end
    end

    def answers_of_others(seed)
      others = (FAMILIES - [Children::HELD_OUT]).map do |family|
        Children::History.new(family, :usual, seed + 1000).run(Sizes[:history_lessons])
      end
      others.flat_map { |history| history.answers.values.map { |asked| asked.map(&:marked).select(&:telling?) } }
    end

    def losses_of(history, make) = history.answers.values.flat_map { |asked| follow(history, asked, make.call).map { |one| loss(*one) } }

    def loss(chance, right) = -Math.log((right ? chance : 1 - chance).clamp(0.001, 0.999))

    # @return [Array<Array(Float, Boolean)>] what was expected of each answer, and what came
    def follow(history, asked, model)
      days = asked.group_by(&:day)
      lessons = history.lessons.group_by(&:day)
      days.flat_map do |day, given|
        lessons.fetch(day, []).each { |lesson| model.taught(lesson.step, day) }
        given.select { |one| one.marked.telling? }.map do |one|
          chance = model.chance_of_right(one.marked.task, one.marked.time, day)
          model.answered(one.marked, day)
          [chance, one.marked.read_right?]
        end
      end
    end

    MODELS = %i[tracing last_ten successes].freeze

    def next_answer(seed)
      ratios = losses(seed).transform_values { |all| all[:knowing] / all[:tracing] }
      details = losses(seed).map do |family, all|
        { "#{family}: loss" => all[:knowing], **MODELS.to_h { |name| ["#{family}: over #{name}", all[:knowing] / all[name]] } }
      end
      Taken.new(mean(ratios.values), { "worst family" => ratios.values.max, **details.reduce(:merge) })
    end

    # Expected calibration error over ten bins, of all answers of a family.
    def calibrated(seed)
      errors = histories(seed).transform_values do |all|
        error(all.flat_map { |history| history.answers.values.flat_map { |asked| follow(history, asked, Knowing::Belief.new) } })
      end
      Taken.new(mean(errors.values), { "worst family" => errors.values.max, **errors.transform_keys(&:to_s) })
    end

    def error(told)
      bins = told.group_by { |chance, _| [(chance * 10).floor, 9].min }.values
      bins.sum { |bin| (mean(bin.map(&:first)) - share(bin, &:last)).abs * bin.length / told.length }
    end

    def progress_by_pupil(history, day) = history.answers.transform_values { |asked| progress(history, asked, day) }

    def progress(history, asked, day)
      days = asked.map(&:day).uniq
      Teaching::ChildProgress.new(asked, today: day, lessons: history.lessons.select { |lesson| days.include?(lesson.day) })
    end

    def knows?(child, step, day) = Curriculum::KnowledgeComponents.of_step(step).all? { |kind| child.knows?(kind, day) }

    # @return [Array<Boolean>] of what is called secure after so many days more and has no mark, whether it is known
    def secure_known(history, later = 0)
      day = history.day + later
      progress_by_pupil(history, day).flat_map do |child, progress|
        found = progress.states.select { |step, state| state == :secure && !(later.positive? && progress.review_due.include?(step)) }.keys
        found.map { |step| knows?(child, step, day) }
      end
    end

    def secure_true(seed)
      now = histories(seed).transform_values { |all| all.flat_map { |history| secure_known(history) } }
      later = histories(seed).transform_values { |all| all.flat_map { |history| secure_known(history, LATER) } }
      shares, afterwards = [now, later].map { |found| found.transform_values { |all| share(all, &:itself) } }
      Taken.new(mean(shares.values), { "worst family" => shares.values.min, **shares.transform_keys(&:to_s),
                                       "eight weeks later, without a mark" => mean(afterwards.values),
                                       "the same, worst family" => afterwards.values.min })
    end

    def place_of(child) = Knowing::Baseline.rungs.rindex { |step| child.knows?(step.id, 0) } || -1

    def asked(child, question, place)
      kind = Curriculum::KnowledgeComponents.of(question.task, question.time)
      text = question.task.write(child.answer(kind, question.time, question.task, 0, place))
      Marking::Marker.mark(task: question.task, time: question.time, text:)
    end

    # @return [Array(Integer, Integer)] how far from its place a child was found, and after how many questions
    def found(child, random, page = nil)
      baseline = Knowing::Baseline.new
      page&.each { |question| baseline.answered(question, asked(child, question, baseline.asked.length)) }
      until page || (question = baseline.next_question(random)).nil?
        baseline.answered(question, asked(child, question, baseline.asked.length))
      end
      place = baseline.place ? Knowing::Baseline.rungs.index(baseline.place) : -1
      [(place - place_of(child)).abs, baseline.asked.length]
    end

    def baselines(seed, page = nil)
      FAMILIES.to_h do |family|
        children = CLASSES.flat_map { |kind| Children::FAMILIES.fetch(family).of(kind, seed, Sizes[:children_of_each]) }
        [family, children.map.with_index { |child, at| found(child, Random.new(seed + at), page) }]
      end
    end

    def baseline_finds(seed)
      at_desks = baselines(seed)
      on_paper = baselines(seed, Knowing::Baseline.page(count: Knowing::Baseline::ROW[:page], seed:))
      near, paper = [at_desks, on_paper].map { |all| all.transform_values { |some| share(some) { |off, _| off <= 1 } } }
      counts = at_desks.values.flatten(1).map(&:last).sort
      Taken.new(mean(near.values), { "worst family" => near.values.min, **near.transform_keys(&:to_s),
                                     "questions, median" => counts[counts.length / 2],
                                     "on a page of twelve" => mean(paper.values), "the same, worst family" => paper.values.min })
    end

    measure(:baseline_finds, "children found within one step of their place at the desks, mean of families", ">= 0.95") do |seed|
      baseline_finds(seed)
    end
    measure(:next_answer, "loss of the next answer over that of the model before, mean of families", "<= 0.92") { |seed| next_answer(seed) }
    measure(:calibrated, "expected calibration error of the next answer, ten bins, mean of families", "<= 0.05") { |seed| calibrated(seed) }
    measure(:secure_true, "steps called secure that are known, mean of families", ">= 0.97") { |seed| secure_true(seed) }
  end
end
