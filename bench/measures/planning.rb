# frozen_string_literal: true

require_relative "term"
require_relative "../term/looks"

module Bench
  # How well recap, groups and exits do what they are for.
  class Plans < Family
    include Looks

    def recap_aimed(seed)
      ladder = Curriculum::Step.with_times.select(&:whole?)
      items = ladder.drop(2).flat_map.with_index do |step, at|
        aimed = ladder.take_while { |one| one != step }.sample(2, random: Random.new(seed + at))
        kinds = aimed.flat_map { |one| Curriculum::KnowledgeComponents.of_step(one) }
        recap_items(step, aimed, seed).map { |item| kinds.include?(Curriculum::KnowledgeComponents.of(item.task, item.time)) }
      end
      share(items, &:itself)
    end

    def recap_items(step, earlier, seed)
      stages = lesson(step:, seed:, earlier:).stages.first(2)
      stages.flat_map(&:items).select(&:time)
    end

    # Of forty minutes, on the words of a dial.
    def lesson(step:, seed:, **context)
      Teaching::Lesson.new(step:, task: WORDS, seed:, frame: Teaching::LessonFrame.new(minutes: 40),
                           context: Teaching::LessonContext.new(**context))
    end

    def group_fits(seed)
      classes = looks(seed).each_slice(Sizes[:term_children]).map { |some| some.each_with_index.map { |look, key| known(look, key) } }
      sums = classes.map { |some| [own_need(some), most_possible(some)] }
      sums.sum(&:first) / sums.sum(&:last).to_f
    end

    def known(look, key)
      step = look.progress.next_step(limit: look.limit)
      Teaching::Groups::Known.new(key:, misreading: look.progress.diagnosis.likely.first, step:, going_on: look.progress.going_on?(step))
    end

    def own_need(children)
      by_key = children.to_h { |child| [child.key, child] }
      Teaching::Groups.of(children).sum do |group|
        group.children.count do |key|
          child = by_key.fetch(key)
          group.beside || (child.misreading ? group.misreadings.include?(child.misreading) : child.step == group.step)
        end
      end
    end

    def most_possible(children)
      led = children.reject(&:going_on).group_by { |child| child.misreading || child.step }.values
      led.flat_map do |some|
        some.each_slice(Teaching::Groups::MOST_CHILDREN).map(&:length)
      end.max(Teaching::Groups::MOST_GROUPS).sum + children.count(&:going_on)
    end

    # Times of an exit that were in the one before on the same step.
    def exit_again(seed)
      steps = Curriculum::Step.with_times.select(&:whole?)
      again = steps.flat_map do |step|
        exits = (0..Sizes[:exits]).reduce([]) do |so_far, more|
          made = lesson(step:, seed: seed + more, exit_avoid: so_far.last(2).flatten)
          [*so_far, made.stages.last.items.filter_map(&:time)]
        end
        exits.each_cons(2).flat_map { |before, now| now.map { |time| before.include?(time) } }
      end
      share(again, &:itself)
    end

    measure(:recap_aimed, "recap items on what was to be gone over", ">= 0.60") { |seed| recap_aimed(seed) }
    measure(:group_fits, "children who work on their own need, over the most possible", ">= 0.92") { |seed| group_fits(seed) }
    measure(:exit_again, "times of an exit that were in the last one on the step", "<= 0.08") { |seed| exit_again(seed) }
  end
end
