# frozen_string_literal: true

# What is said of a term, from what the server says of it.
RSpec.describe "The words of a term" do
  def facts = <<~JS
    const facts = {
      rung: (id) => ({ name: { fives: "Fives", half_past: "Half past", quarter_to: "Quarter to" }[id] }),
      misreading: () => ({ does: "name the hour that has passed" }),
    };
    const words = lab.termWords;
    const today = lab.words.today();
    const year = today.slice(0, 4);
  JS

  def said(script) = lab("#{facts} return #{script}")

  it "tell how many will know it, and a band where there is one" do
    point = "{ day: `${year}-02-12`, low: 18, likely: 21, high: 24 }"
    expect(said("words.forecastWords(#{point}, 26, 'fives', facts)"))
      .to match(/\ABy (\w{3} 12 Feb|today) about 21 of 26 will know fives, likely 18 to 24\.\z/)
    sure = "{ day: today, low: 26, likely: 26, high: 26 }"
    expect(said("words.forecastWords(#{sure}, 26, 'fives', facts)")).to eq("By today about 26 of 26 will know fives.")
  end

  it "tell what changed and why, for each way in which a plan can change" do
    change = ->(code, **more) { { code:, step: "quarter_to", lessons: 1, children: 9, misreading: nil, **more } }
    changes = [change["more", misreading: "x"], change["more", lessons: 2], change["added"], change["fewer", children: 1],
               change["dropped"], change["later"]]
    expect(said("#{JSON.generate(changes)}.map((one) => words.changeWords(one, facts))")).to eq(
      ["Quarter to gets 1 more lesson: 9 children don't know this yet, and some name the hour that has passed.",
       "Quarter to gets 2 more lessons: 9 children don't know this yet.",
       "Quarter to is added for 1 lesson: 9 children don't know this yet.",
       "Quarter to gets 1 fewer lesson: 1 child knows this by now.", "Quarter to is left out: 9 children know this by now.",
       "Quarter to moves to another time: 9 children don't know this yet."]
    )
  end

  it "tell what a teacher changed, and how many other lessons change by it" do
    codes = %w[term_set move swap pin unpin skip skip_week hold set]
    changes = codes.map { |code| { code:, step: "half_past", day: "2027-01-06", to: "2027-01-08", lessons: 0, children: 0 } }
    found = said("#{JSON.generate(changes)}.map((one) => words.changeWords(one, facts).replaceAll(' 2027', ''))")
    expect(found).to eq(["The term has new days or a new goal", "Half past moves to Fri 8 Jan", "Wed 6 Jan and Fri 8 Jan are swapped",
                         "Half past stays on Wed 6 Jan", "Half past on Wed 6 Jan can move again", "No lesson on Wed 6 Jan",
                         "No lessons in the week of Mon 4 Jan", "There is a lesson on Wed 6 Jan after all",
                         "The lesson on Wed 6 Jan is now half past"].map { |text| "#{text}; no other lesson changes." })
    todays = "{ step: 'half_past', day: today, to: null, lessons: 0, children: 0 }"
    found = said("['skip', 'skip_week', 'pin'].map((code) => words.changeWords({ code, ...#{todays} }, facts))")
    expect(found).to eq(["No lesson today", "No lessons this week", "Half past stays today"].map { |text|
      "#{text}; no other lesson changes."
    })
    one = { code: "skip", step: nil, day: "2027-01-06", to: nil, lessons: 1, children: 0 }
    expect(said("words.changeWords(#{JSON.generate(one)}, facts)")).to match(/; 1 other lesson changes\.\z/)
  end

  it "give no reason with nobody in it, for a plan that changed and for what is next" do
    codes = %w[more added fewer dropped later]
    changes = codes.map { |code| { code:, step: "quarter_to", lessons: 1, children: 0, misreading: "x" } }
    expect(said("#{JSON.generate(changes)}.map((one) => words.changeWords(one, facts))")).to eq(
      ["Quarter to gets 1 more lesson.", "Quarter to is added for 1 lesson.", "Quarter to gets 1 fewer lesson.",
       "Quarter to is left out.", "Quarter to moves to another time."]
    )
    nobody = { child_ids: [], lesson: 3, days: 22, not_yet: 0, misreading: "x", misread: [], stumbling: [] }
    nexts = %w[begin new passed again back done].map { |reason| { reason:, **nobody } }
    expect(said("#{JSON.generate(nexts)}.map((one) => lab.whyNext(one, 26, facts))")).to eq(
      ["No answers yet, so we start at the first step. You can start anywhere.", "This is the next step.",
       "Most of the class is ready for this.", "The third lesson on this, to make it stick.",
       "Back after three weeks, so it isn't forgotten.", "Most of the class has finished the ladder. Review what is slipping."]
    )
  end

  it "tell when something was asked last and who may have lost it" do
    expect(said("words.recapWords('half_past', { last_asked: `${year}-10-12`, review_due: 9 }, facts)"))
      .to match(/\AHalf past \(last checked (\w{3} 12 Oct|today), review due for 9 children\)\z/)
    expect(said("words.recapWords('half_past', { last_asked: today, review_due: 0 }, facts)")).to eq("Half past (last checked today)")
    expect(said("words.recapWords('half_past', { last_asked: null, review_due: 0 }, facts)")).to eq("Half past")
    expect(said("words.recapWords('half_past', undefined, facts)")).to eq("Half past")
  end

  it "name each kind of lesson and each way of helping" do
    kinds = %w[new again recap look_back short open skipped]
    expect(said("#{kinds}.map((kind) => words.kindWords({ kind }))"))
      .to eq(["new", "again", "review", "look back", "short", "spare", "no lesson"])
    lessons = [%w[2027-01-04 half_past new], %w[2027-01-05 half_past again], %w[2027-01-06 quarters recap], %w[2027-01-07 half_past again]]
    lessons.map! { |day, step, kind| { day:, step:, kind: } }
    expect(said("[...words.whichLesson(#{JSON.generate(lessons)}).values()]")).to eq(["new", "lesson 2", "review",
                                                                                      "lesson 3"])
    suggestions = [{ id: "more_lessons", weekday: "tuesday", step: nil }, { id: "desks", weekday: nil, step: nil },
                   { id: "without", weekday: nil, step: "half_past" }]
    expect(said("#{JSON.generate(suggestions)}.map((one) => words.suggestionWords(one, facts))"))
      .to eq(["One more lesson a week, on Tuesdays", "Ten minutes on devices twice a week", "Leaving out half past"])
    expect(said("words.weekFrom('monday').map(words.weekdayWords)")).to eq(%w[Monday Tuesday Wednesday Thursday Friday Saturday Sunday])
  end

  it "say days within a term without their year" do
    expect(said("lab.words.shortDay('2027-01-06')")).to eq("Wed 6 Jan")
    expect(said("lab.words.shortDay(today)")).to eq("today")
  end

  # Rings round the rim: the outer and the inner edge lie at their distances from the middle.
  it "have pieces of the rim drawn where a minute hand points" do
    path = said("lab.geometry.ringPart(90 - 8, 90 + 8, 76, 97)")
    points = path.scan(/-?\d+\.\d+/).map(&:to_f).each_slice(2).to_a
    expect(points.map { |x, y| Math.hypot(x, y).round(1) }).to eq([97.0, 97.0, 76.0, 76.0])
    expect(points.map { |x, _| x }).to all(be > 70)
  end
end
