# frozen_string_literal: true

require "csv"

# Lists from another program and back to one, as a teacher does it.
RSpec.describe "A class and other programs", :demo do
  let(:folder) { Dir.mktmpdir("files") }

  after { FileUtils.rm_rf(folder) }

  def file(name, text) = File.join(folder, name).tap { |path| File.binwrite(path, text) }

  # The link is pressed, and what the browser has taken away is there.
  def taken(link, pattern)
    browser.execute_cdp("Browser.setDownloadBehavior", behavior: "allow", downloadPath: folder)
    click_link link
    found = nil
    eventually { expect(found = Dir[File.join(folder, pattern)].first).not_to be_nil }
    found
  end

  it "goes out as OneRoster and comes in again; a child more and a child less are shown before the list is taken" do
    visit "/class/register"
    bundle = taken("OneRoster", "oneroster*.zip")
    attach_file "File", bundle
    expect(page).to have_button("Nothing to change", disabled: true).and have_text("26 children")

    names = store.classes.all.first.children.map { |child| child[:name] } - ["Bram"] + ["Zilla"]
    attach_file "File", file("list.csv", "First name;Last name\n#{names.map { |name| "#{name};Roe" }.join("\n")}\n")
    expect(page).to have_css("legend", text: "Is it the same child?")
    within("fieldset li", text: "Anneke here", match: :first) do
      expect(page).to have_text(/Anneke here: last clock \d+:\d\d, /).and have_checked_field("Another child")
    end
    click_button "All are the same"
    expect(page).to have_css("dd", text: /\AZilla\z/).and have_css("dd", text: /\ABram\z/).and have_css("dd", text: "25 children")
    check "Mark children not on the list as left"
    click_button "Add list"
    expect(page).to have_text("List added.").and have_link("Zilla").and have_button("Restore Bram")
    click_button "Undo list"
    expect(page).to have_link("Bram").and have_no_link("Zilla").and have_no_button("Undo list")
  end

  it "shows the table with its title, takes other columns and fewer rows, and keeps first names alone" do
    visit "/class/register"
    attach_file "File", file("list.csv", "Class 3b\nPupil,Parent,No\n\"Roe, Ulf\",Ada Roe,7\n,Ida Ash,8\nTotal,,\n")
    expect(page).to have_css("tbody tr", count: 5).and have_css("tr.out", text: "Class 3b").and have_css("tr.out", text: "no name")
    expect(page).to have_text("2 of 5 rows are children.").and have_css("dd", text: "Ulf, Total")
    click_button "Line 5: leave out Total"
    expect(page).to have_text("1 of 5 rows are children.").and have_css("dd", text: /\AUlf\z/).and be_accessible
    select "First name", from: "What column 2 is: Parent"
    expect(page).to have_css("dd", text: "Ada, Ida")
    select "Not used", from: "What column 2 is: Parent"
    expect(page).to have_css("[role='alert']", text: "Choose the column of first names.").and have_no_button("Add list")
    select "First name", from: "What column 1 is: Pupil"
    click_button "Add list"
    expect(page).to have_text("List added.").and have_link("Ulf")
  end

  it "begins a class from a file" do
    visit "/class/new"
    attach_file "Or from a file (list, CSV or OneRoster)", file("list.txt", "Ulf\nVera\n")
    eventually { expect(find_field("Children, one on each line").value).to eq("Ulf\nVera") }
    fill_in "Class name", with: "Dunlin class"
    click_button "Add class"
    expect(page).to have_css(".class-menu", text: "Dunlin class")
  end

  it "keeps the ids of a file that a class was begun from, so that the next list knows the children" do
    visit "/class/new"
    attach_file "Or from a file (list, CSV or OneRoster)", file("list.csv", "ID,Name\nu1,Ulf\nu2,Vera\n")
    expect(page).to have_text("2 of 3 rows are children.")
    fill_in "Class name", with: "Dunlin class"
    click_button "Add class"
    expect(page).to have_css("h1", text: "New check")
    visit "/class/register"
    attach_file "File", file("later.csv", "ID,Name\nu1,Ulf\nu2,Veronika\n")
    expect(page).to have_css("dd", text: "Vera → Veronika").and have_no_css("legend", text: "Is it the same child?")
  end

  it "shows who is on a typed list, with family names too, before a class is made of it" do
    visit "/class/new"
    fill_in "Class name", with: "Dunlin class"
    names = find_field("Children, one on each line")
    names.send_keys("Roe, Ulf", :enter, "Dee, Vera", :enter, "Ash, Ulf")
    expect(page).to have_css("[role='status']", text: "3 children: Ulf R. · Vera · Ulf A.")
    expect(page).to have_text("Ulf is now Ulf R., Ulf is now Ulf A.")
    expect(page).to have_field("Family name, first name", checked: true)
    names.send_keys(:tab, :up)
    expect(page).to have_css("[role='status']", text: "6 children: Roe · Ulf · Dee · Vera · Ash · Ulf 2")
    page.driver.browser.switch_to.active_element.send_keys(:down)
    expect(page).to have_css("[role='status']", text: "3 children")
    page.driver.browser.switch_to.active_element.send_keys(:enter)
    expect(page).to have_css(".class-menu", text: "Dunlin class")
    made = store.classes.all.find { |one| one.name == "Dunlin class" }
    expect(made.children.map { |child| child[:name] }).to eq(["Ulf R.", "Vera", "Ulf A."])
  end

  it "stops at a list that nobody has seen yet where two are alike in it" do
    visit "/class/new"
    page.execute_script("sessionStorage.clear()")
    fill_in "Class name", with: "Dunlin class"
    type_and_press "Children, one on each line", "Ulf\nulf", "Add class"
    expect(page).to have_text("ulf is now ulf 2")
    click_button "Add class"
    expect(page).to have_css(".class-menu", text: "Dunlin class")
  end

  it "gives a check's clocks to other programs, and makes a check of such a file; what is no time is named" do
    visit "/check/3"
    find("summary", text: "From a spreadsheet").click
    package = taken("Clocks as QTI", "qti-*.zip")
    visit "/check/new"
    find("summary", text: "Clocks from another program").click
    attach_file "Package or question", package
    times = store.checks.find(3).items.map(&:time)
    expect(page).to have_button("Use #{times.length} clocks")
    expect(all("details figcaption", count: times.length).map(&:text)).to match_array(times)
    uncheck times.first
    click_button "Use #{times.length - 1} clocks"
    expect(page).to have_current_path(%r{/check/\d+/slips})
    expect(store.checks.all(1, limit: 1).first.items.map(&:time)).to match_array(times.drop(1))

    visit "/check/new"
    find("summary", text: "Clocks from another program").click
    attach_file "Package or question", file("q.xml", <<~XML)
      <assessmentItem identifier="q1" title="Colours"><responseDeclaration><correctResponse><value>blue</value></correctResponse>
      </responseDeclaration></assessmentItem>
    XML
    expect(page).to have_css("li", text: "Colours: “blue” is not a time on the clock").and have_button("No times found", disabled: true)
  end

  it "reads answers from another program, names what it leaves out, and takes them out again" do
    check = store.checks.find(3)
    name, other = store.classes.children(1).map { |child| child[:name] }.first(2)
    rows = "child,question,answer\n#{name},1,#{check.items.first.time}\n#{other},2,7:07\nNobody,1,7:45\n"
    before = store.db[:answers].count
    visit "/check/3"
    find("summary", text: "From a spreadsheet").click
    attach_file "Or a file from another program", file("answers.csv", rows)
    expect(page).to have_text("2 answers found").and have_text("row 4: no child in the class is called “Nobody”")
    expect(store.db[:answers].count).to eq(before)
    click_button "Add answers"
    expect(page).to have_text("Answers added.").and have_text("2 answers added")
    expect(store.db[:answers].count).to eq(before + 2)
    click_button "Undo…"
    within(".modal") { click_button "Take out" }
    expect(page).to have_text("Answers taken out.").and have_no_button("Undo…")
    expect(store.db[:answers].count).to eq(before)
  end

  it "lets a child go to another class of another school with the record" do
    visit "/class/register"
    within("section[aria-label='Children'] li", text: "Elio", match: :first) { click_button "Erase Elio…" }
    saved = taken("For another Vantick (JSON)", "child*.json")
    answers = store.db[:answers].where(child_id: store.db[:children].where(name: "Elio").get(:id)).count
    fill_in "Type Elio to erase", with: "Elio"
    click_button "Erase for good"
    expect(page).to have_no_link("Elio")
    find("summary", text: "One child, from another Vantick").click
    attach_file "The child's file (JSON)", saved
    expect(page).to have_button("Add Elio").and have_no_link("Elio")
    click_button "Add Elio"
    expect(page).to have_link("Elio")
    expect(store.db[:answers].where(child_id: store.db[:children].where(name: "Elio").get(:id)).count).to eq(answers)
    attach_file "The child's file (JSON)", saved
    expect(page).to have_css("[role='alert']", text: "Two children are called Elio")
  end

  it "puts lessons into a calendar" do
    visit "/plan"
    click_button "Add to calendar"
    text = File.binread(taken("Save calendar file", "lessons*.ics"))
    expect(text.scan("BEGIN:VEVENT").length).to eq(store.db[:lessons].count)
  end
end
