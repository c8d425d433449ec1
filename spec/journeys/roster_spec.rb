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
    expect(page).to have_button("Nothing changes", disabled: true).and have_text("26 children")

    names = store.classes.all.first.children.map { |child| child[:name] } - ["Bram"] + ["Zilla"]
    attach_file "File", file("list.csv", "First name;Last name\n#{names.map { |name| "#{name};Roe" }.join("\n")}\n")
    expect(page).to have_css("dd", text: "Zilla").and have_css("dd", text: "Bram").and have_css("dd", text: "25 children")
    check "Mark who is not on it as left"
    click_button "Take the list"
    expect(page).to have_text("The list is taken.").and have_link("Zilla").and have_button("Bring back Bram")
  end

  it "says in which line a list is wrong, and takes nothing of it" do
    visit "/class/register"
    attach_file "File", file("list.csv", "First name;Last name\nUlf;Roe\n;Ash\n")
    expect(page).to have_css(".field [role='alert']", text: "Line 3: there is no first name")
    expect(page).to have_no_button("Take the list").and have_no_link("Ulf")
  end

  it "begins a class from a file" do
    visit "/class/new"
    attach_file "Or from a file: a list, CSV or OneRoster", file("list.txt", "Ulf\nVera\n")
    eventually { expect(find_field("Children, one on each line").value).to eq("Ulf\nVera") }
    fill_in "What you call the class", with: "Dunlin class"
    click_button "Make the class"
    expect(page).to have_css(".class-menu", text: "Dunlin class")
  end
end
