# frozen_string_literal: true

module Vantick
  module Server
    module Sheets
      # Sheets of a class: looked at before they are printed, kept with their code where they have answers.
      class Sheets < Handler
        # Children whose pages are in a preview; slips of a page.
        SHOWN = { slips: 3 }.freeze

        def preview_sheet
          maker = maker(params.class_id, body.to_h, few: SHOWN.values.max)
          sheet = maker.sheet(made_at: now, only: SHOWN.fetch(maker.kind.id, 1))
          { **drawn(sheet), **chosen(maker), per_page: sheet.per_page, levels: maker.levels, unprintable: maker.unprintable,
            paper: paper(maker.sheet(made_at: now)) }
        end

        def make_sheet
          maker = maker(params.class_id, body.to_h)
          unfit("#{maker.kind.name} has no answers to enter. Print it as it is.", :kind) unless maker.kind.answered?

          check = store.checks.add(class_id: params.class_id, step: maker.step.id.to_s, task: maker.task.id.to_s, items: maker.items,
                                   sheet: maker.settings, made_at: now)
          { check_id: check.id, code: check.code }
        end

        def list_calls
          maker = SheetMaker.new(store.classes.find(params.class_id), params.except(:class_id))
          unfit("#{maker.kind.name} has nothing to call out. Choose a game.", :kind) unless maker.kind.game?

          sheet = maker.sheet(made_at: now)
          calls = sheet.calls.map { |time| { time: time.to_s, words: sheet.words(time), digits: sheet.digits(time) } }
          { title: sheet.title, calls: }
        end

        def preview_check_sheet
          check = store.checks.find(params.check_id)
          printing = Pages::Printing.of_check(check, store.classes.find(check.class_id))
          sheet = printing.drawn_sheet(check, names: params.names)
          { **drawn(sheet, sheet.pages.first(1)), unprintable: printing.unprintable, paper: paper(sheet) }
        end

        def find_sheet
          check = store.checks.coded(params.code)
          { check_id: check.id, code: check.code, class_id: check.class_id }
        end

        private

        def chosen(maker)
          { task: maker.task&.id, choice: maker.choice && Views::CheckView.choice(maker.choice), mistakes: maker.mistakes.map(&:id),
            **maker.settings.slice(:count, :misreading) }
        end

        def drawn(sheet, pages = sheet.pages)
          { pages:, answer_pages: sheet.answer_pages }.transform_values { |some| some.map { |page| Documents::SvgWriter.write(page) } }
        end

        # How many sheets of paper it takes, by what is printed and on how many sides.
        def paper(sheet)
          Documents::Stack::PARTS.keys.product(Documents::Stack::SIDES.keys).map do |part, sides|
            { part:, sides:, sheets: Documents::Stack.new(sheet, part:, sides:).paper }
          end
        end

        def maker(class_id, settings, few: nil)
          school_class = store.classes.find(class_id)
          SheetMaker.new(school_class, settings, known: known(school_class, settings), few:)
        end

        def known(school_class, settings)
          kind, step = settings.values_at(:kind, :step)
          since = (Clock.now - (Core::Choosing::SheetChoice::LATELY_DAYS * 86_400)).iso8601
          levels = levelled?(settings) ? levels(school_class, step) : {}
          SheetMaker::Known.new(misreadings: own?(kind) ? own_misreadings(school_class) : [],
                                lately: store.checks.lately(school_class.id, since), levels:,
                                review_due: review_due(school_class, settings),
                                adjustments: store.register.adjustments(school_class.id))
        end

        # Kinds for which the class's own mistakes count.
        def own?(kind) = kind == "spot" || Core::Choosing::SheetKind.all.any? { |known| known.id.to_s == kind && known.game? }

        # Children's own sheets take up what each may be losing.
        def review_due(school_class, settings)
          return {} unless settings[:versions] == "each"

          progress = Store::ProgressCache.of(school_class, store, today: Store::SchoolDay.today)
          progress.by_child.transform_values(&:review_due)
        end

        def levelled?(settings)
          settings[:kind] == "levels" || settings[:help] == "record"
        end

        def levels(school_class, step_id)
          Store::ProgressCache.of(school_class, store, today: Store::SchoolDay.today).levels(Core::Curriculum::Step.find(step_id))
        end

        # What the class's answers show, the commonest first.
        def own_misreadings(school_class)
          conventions = school_class.wording
          answers = store.answers.of_class(school_class.id).group_by(&:child_id)
          marked = answers.transform_values { |some| some.map { |answer| Store::MarkedAnswers.from_row(answer, conventions) } }
          Core::Judging::ClassEvidence.new(marked).showing.sort_by { |_, children| -children.length }.map(&:first)
        end
      end
    end
  end
end
