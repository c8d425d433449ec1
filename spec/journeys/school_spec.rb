# frozen_string_literal: true

require "pdf-reader"

# Whoever keeps the school: how many meet a standard, one list of all classes, and weeks of help for a child.
RSpec.describe "A school", :demo do
  let(:folder) { Dir.mktmpdir("files") }

  after { FileUtils.rm_rf(folder) }

  def file(name, text) = File.join(folder, name).tap { |path| File.binwrite(path, text) }

  it "tells its head how many of each class meet a standard, and no name of a child" do
    visit "/"
    find(".class-menu button").click
    click_link "The school"
    expect(page).to have_css("h1", text: "The school").and have_css("td", text: /of 26/, wait: 20)
    select "England year 2", from: "Which standard"
    expect(page).to have_css(".headline", text: "England year 2")
    expect(page).to have_css("h2", text: "Children far below their class")
    names = store.classes.children(1).map { |child| child[:name] }
    names.each { |name| expect(find(".page.school")).to have_no_text(/\b#{name}\b/) }
    expect(page).to be_axe_clean
  end

  it "shows a list of all classes before it is taken, and undoes it" do
    names = store.classes.children(1).map { |child| child[:name] }.first(3)
    rows = names.map.with_index { |name, at| "Curlew class,#{name},p#{at}" } + ["Plover,Theo,p8", "Plover,,p9"]
    table = "Class,First name,Pupil ID\n#{rows.join("\n")}\n"
    visit "/school/list"
    attach_file "File", file("school.csv", table)
    expect(page).to have_css("h2", text: "Curlew class").and have_css("h2", text: "Plover")
    click_button "All children of these names are the same"
    within("section[aria-label='Curlew class']") { expect(page).to have_text(/Unchanged\s+3 children/) }
    within("section[aria-label='Plover']") do
      expect(page).to have_text(/New\s+Theo/).and have_text("Left out: 1 line")
    end
    before = store.db[:children].order(:id).select_map(%i[id name class_id source_id])
    expect(page).to be_axe_clean
    click_button "Add list to 2 classes"
    expect(page).to have_text("List added.")
    expect(store.db[:classes].where(name: "Plover").count).to eq(1)
    find(".class-menu button").click
    expect(page).to have_button("Plover")
    send_keys :escape
    click_button "Undo list…"
    within(".modal.show") { click_button "Undo list" }
    expect(page).to have_text("List undone.")
    expect(store.db[:children].order(:id).select_map(%i[id name class_id source_id])).to eq(before)
  end

  it "leaves a class out, and forgets that with the next list" do
    visit "/school/list"
    attach_file "File", file("two.csv", "Class,First name\nPlover,Theo\nRuff,Eli\n")
    within("section[aria-label='Plover']") { click_button "Leave this class out" }
    expect(page).to have_text("Plover is left out.").and have_button("Add list to 1 class")
    attach_file "File", file("next.csv", "Class,First name\nPlover,Theo\n")
    expect(page).to have_css("section[aria-label='Plover']").and have_no_text("Plover is left out.")
  end

  it "plans three weeks of help for a child, keeps them once they have started, and discards them" do
    una = store.db[:children].where(name: "Una").get(:id)
    visit "/class/child/#{una}"
    click_link "Three weeks of help"
    expect(page).to have_css("h1", text: "Three weeks of help for Una").and have_css(".weeks h2", count: 3)
    weeks = all(".weeks h2").map(&:text)
    click_button "Start today"
    expect(page).to have_button("Discard…").and have_text("What changes is shown here from tomorrow on.")
    expect(store.support_plans.of_child(una)[:weeks].length).to eq(3)
    visit "/class/child/#{una}/support"
    expect(page).to have_css(".weeks h2", count: 3)
    expect(all(".weeks h2").map(&:text)).to eq(weeks)
    expect(page).to be_axe_clean
    printed = Base64.decode64(page.driver.browser.execute_cdp("Page.printToPDF", paperWidth: 8.27, paperHeight: 11.69)["data"])
    expect(PDF::Reader.new(StringIO.new(printed)).page_count).to eq(1)
    click_button "Discard…"
    within(".modal.show") { click_button "Discard" }
    expect(page).to have_button("Start today")
    expect(store.support_plans.of_child(una)).to be_nil
  end

  it "keeps records for as long as it is set, and erases older ones where somebody says so" do
    store.db[:answers].update(answered_at: "2020-03-02T08:00:00Z")
    store.db[:classes].update(made_at: "2020-03-02T08:00:00Z")
    store.db[:children].update(joined_at: nil)
    others = store.db[:children].where(name: %w[Una Zora]).select_map(:id)
    store.db[:children].where(id: others).update(joined_at: Vantick::Server::Clock.iso8601)
    many = store.db[:children].count - 2
    visit "/account"
    select "3 years", from: "Records stay after a child's last answer for"
    expect(page).to have_text("#{many} children in 1 class with no answer for longer")
    expect(page).to be_axe_clean
    click_button "Erase records…"
    fill_in "Your own password", with: "the lamp is lit"
    click_button "Erase records"
    expect(page).to have_text("Records erased.")
    expect(store.db[:children].select_map(:name)).to match_array(%w[Una Zora])
  end
end
