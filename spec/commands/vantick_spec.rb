# frozen_string_literal: true

require "csv"

RSpec.describe Vantick::CLI do
  def run(*arguments, input: "")
    output = StringIO.new
    errors = StringIO.new
    code = described_class.run(arguments, input: StringIO.new(+input), output:, errors:)
    [code, output.string, errors.string]
  end

  def lines(...) = run(...)[1].lines.map { |line| JSON.parse(line) }

  it "reads a time" do
    expect(lines("read", "7:45").first).to include(
      "time" => "7:45", "hour_hand_degrees" => 232.5, "minute_hand_degrees" => 270.0, "hour_passed" => 7, "hour_ahead" => 8, "side" => "to",
      "minutes_past" => 45, "minutes_to" => 15, "digital" => "7:45", "usual" => "quarter to eight"
    )
    expect(lines("read", "7:45").first["words"].first).to eq("quarter to eight")
  end

  it "reads all 720, 12:00 first" do
    expect(lines("read", "--all").map { |line| line["time"] }).to eq(Vantick::Core::Dial::DialTime.all.map(&:to_s))
  end

  it "explains a time in numbered steps, in a class's own method and words" do
    steps = lines(*%w[explain 4:49 --conventions of,sixty_minus]).first["steps"]
    expect(steps.map { |step| step["number"] }).to eq((1..steps.length).to_a)
    expect(steps.last).to include("sentence" => "It is eleven minutes of five.", "part" => "say")
    expect(lines(*%w[explain --all]).length).to eq(720)
  end

  it "takes conventions by name or from a JSON file, and refuses by name what there is not" do
    Dir.mktmpdir do |folder|
      file = File.join(folder, "class.json")
      File.write(file, '{"past_word": "after", "separator": "point"}')
      expect(lines("read", "7:10", "--conventions", file).first).to include("digital" => "7.10", "usual" => "ten after seven")
      expect(run("read", "7:10", "--conventions", "#{folder}/none.json")).to match([1, "", /cannot be read/])
    end
    expect(run(*%w[read 7:45 --conventions after,loud])).to match([1, "", /"loud" is not a convention/])
    expect(run("mark", "--conventions", "point", input: "task,time,answer\ndial_to_digital,7:45,7.45\n")[1]).to include(",right,")
  end

  it "names the wrong answers that misreadings lead to" do
    answers = ->(task, time) { lines("misreadings", "--task", task, time).first["answers"] }
    expect(answers["dial_to_words", "7:45"]).to include("to_with_passed_hour" => ["quarter to seven"])
    expect(answers["dial_to_digital", "7:30"]).to include("fives_from_one" => ["7:35"])
    expect(lines("misreadings", "--task", "dial_to_digital", "--all").length).to eq(720)
  end

  it "marks a table and keeps its other columns" do
    given = ["child,task,time,answer", "Ada,dial_to_words,7:45,quarter to seven", "Bo,dial_to_digital,2:11,2:10",
             '"C, D",dial_to_words,3:30,"?"', ""]
    code, output, = run("mark", input: "\uFEFF#{given.join("\r\n")}")
    rows = CSV.parse(output, headers: true)
    expect(code).to eq(0)
    expect(rows.headers).to eq(%w[child task time answer verdict misreadings read_as])
    expect(rows.map { |row| row["verdict"] }).to eq(%w[misread misread unreadable])
    expect(rows[1]["misreadings"]).to eq("hands_swapped stops_at_five ticks_one_short")
    expect(rows.map { |row| row["child"] }).to eq(["Ada", "Bo", "C, D"])
    expect(rows[0]["read_as"]).to eq("quarter to seven")
  end

  it "chooses times, the same for the same seed" do
    how = %w[choose --step fives --task dial_to_words --count 5 --seed 7]
    first, again = Array.new(2) { lines(*how).first }
    expect(first).to eq(again)
    expect(first.keys).to eq(%w[times pairs_told_apart pairs_possible chances])
    expect(lines(*how, "--avoid", first["times"].join(",")).first["times"] & first["times"]).to eq([])
  end

  it "chooses for three levels" do
    levels = lines(*%w[choose --levels --step fives --task dial_to_words --count 3]).first["levels"]
    expect(levels.map { |level| level["times"].length }).to eq([3, 3, 3])
  end

  it "diagnoses each child, in the order in which they come" do
    table = ["child,task,time,answer,day", "Ada,dial_to_words,7:45,quarter to seven,2026-11-01", "Bo,dial_to_words,7:45,qt8,2026-11-20",
             "Ada,dial_to_words,10:45,quarter to ten,2026-11-20", "Cy,dial_to_words,7:45,,"].join("\n")
    ada, bo, cy = lines("diagnose", input: table)
    expect(ada).to include("child" => "Ada", "verdict" => "likely")
    expect(ada["misreadings"].first).to include("id" => "to_with_passed_hour", "chances" => 2, "hits" => 2, "own_hits" => 2)
    expect(ada["misreadings"].first["probability"]).to be > 0.95
    expect(ada["next_best"]["time"]).to match(/:45\z/)
    expect([bo["child"], cy["verdict"], cy["misreadings"]]).to eq(["Bo", "not enough to say", []])
  end

  it "checks a drawn clock" do
    expect(lines(*%w[check-drawing --hour-hand 120 --minute-hand 270]).first)
      .to include("time" => "3:45", "verdict" => "readable", "offset_degrees" => 7.5, "margin_degrees" => 15.0,
                  "invites" => ["next_hour_early"])
  end

  it "simulates a child, the same for the same seed" do
    how = %w[simulate --misreading next_hour_early --step fives --task dial_to_words --count 6 --seed 3]
    first, again = Array.new(2) { lines(*how) }
    expect(first).to eq(again)
    expect(first.flat_map { |line| line["misreadings"] }.uniq).to eq(["next_hour_early"])
    expect(first.length).to eq(6)
  end

  {
    %w[check-drawing --hour-hand 120] => /--minute-hand/, %w[check-drawing --hour-hand x --minute-hand 1] => /--hour-hand x/,
    %w[simulate --step fives] => /name the task/, %w[simulate --misreading lazy --step fives --task dial_to_words] => /"lazy"/,
    %w[simulate --slips 2 --step fives --task dial_to_words] => /from 0 to 1/,
    %w[read 25:99] => /"25:99" isn't a time/, %w[read] => /one time/, %w[read 7:45 8:45] => /one time/, %w[read 7:45 --all] => /--all/,
    %w[shout] => /no command "shout"/, %w[misreadings 7:45] => /name the task/, %w[misreadings --task song 7:45] => /"song" is not a task/,
    %w[choose --task dial_to_words] => /name the step/, %w[choose --step fives --task dial_to_words --count 500] => /1 to 60/,
    %w[choose --step fives --task dial_to_words --count x] => /--count x/,
    %w[choose --step hands --task dial_to_words] => /"hands" is not a step/,
    %w[choose --step fives --task dial_to_words 7] => /takes no "7"/, %w[read --colour] => /--colour/, %w[mark extra] => /takes no "extra"/
  }.each do |arguments, message|
    it "refuses #{arguments.join(' ')} in one line, with exit 1" do
      code, output, errors = run(*arguments)
      expect([code, output]).to eq([1, ""])
      expect(errors).to match(message).and match(/\Avantick: [^\n]+\n\z/)
    end
  end

  {
    "no columns" => ["a,b\n1,2\n", /columns task,time,answer/], "nothing at all" => ["", /columns/],
    "a bad time" => ["task,time,answer\ndial_to_words,25:99,x\n", /line 2: "25:99"/],
    "an unknown task" => ["task,time,answer\nsong,7:45,x\n", /line 2: "song"/],
    "an endless answer" => ["task,time,answer\ndial_to_words,7:45,#{'x' * 10_000}\n", /line 2: The answer is too long: 10000/],
    "a broken quote" => ["task,time,answer\n\"dial", /[Uu]nclosed/], "no UTF-8" => ["task,time,answer\ndial_to_words,7:45,\xFF\n", /UTF-8/]
  }.each do |what, (input, message)|
    it "refuses a table with #{what}, and prints none of it" do
      code, output, errors = run("mark", input:)
      expect([code, output, errors.lines.length]).to eq([1, "", 1])
      expect(errors).to match(message)
    end
  end

  it "marks row by row: what came before a wrong row is there, and its line is named" do
    code, output, errors = run("mark", input: "task;time;answer\ndial_to_words;7:45;qt8\n\nsong;7:45;x\n")
    expect(code).to eq(1)
    expect(output).to eq("task;time;answer;verdict;misreadings;read_as\ndial_to_words;7:45;qt8;right;\"\";quarter to eight\n")
    expect(errors).to match(/line 4: "song"/)
  end

  it "answers each row before the next one is given" do
    IO.pipe do |input, given|
      IO.pipe do |read, output|
        running = Thread.new { described_class.run(["mark"], input:, output:, errors: StringIO.new) }
        given.puts("task\ttime\tanswer", "dial_to_words\t7:45\tqt8")
        expect(Array.new(2) { read.gets }.last).to include("right")
        given.close
        expect(running.value).to eq(0)
      end
    end
  end

  described_class::COMMANDS.each_key do |name|
    it "says of #{name} what it does, with an example that works" do
      _, words, = run("help", name)
      expect(run(name, "--help")).to eq([0, words, ""])
      expect(words.lines.first).to match(/\A[A-Z].*\.\n\z/)
      example = words[/Example:\n  (.*)/, 1]
      next expect(example).to start_with("vantick #{name}") if %w[backup restore password].include?(name)

      given, command = example.include?("|") ? example.split(" | ") : ["", example]
      input = given[/'(.*)'/, 1].to_s.gsub("\\n", "\n")
      expect(run(*command.split.drop(1), input:)).to match([0, /\S/, ""])
    end
  end

  it "says which Vantick it is" do
    expect(run("--version")).to eq([0, "vantick #{Vantick::Core::VERSION}\n", ""])
  end

  it "names the line of a day or a child that is none" do
    bad = ->(row) { run("diagnose", input: "child,task,time,answer,day\nAda,dial_to_words,7:45,qt8,\n#{row}\n") }
    expect(bad["Ada,dial_to_words,7:45,qt8,yesterday"]).to match([1, "", /line 3: "yesterday" is not a day/])
    expect(bad[",dial_to_words,7:45,qt8,"]).to match([1, "", /line 3: the child has no name/])
  end

  it "runs as a command from any folder, and says how to use it" do
    output, errors, status = Open3.capture3(File.join(ROOT, "bin/vantick"), "read", "12:30", chdir: "/")
    expect([JSON.parse(output)["usual"], errors, status.exitstatus]).to eq(["half past twelve", "", 0])
    _, errors, status = Open3.capture3(File.join(ROOT, "bin/vantick"), "read", "nonsense")
    expect([errors.lines.length, status.exitstatus]).to eq([1, 1])
    expect(run("help")).to match([0, /vantick choose --step/, ""])
  end
end
