# frozen_string_literal: true

# A school with several teachers, and what is kept of it elsewhere.
RSpec.describe "A school with colleagues", :demo do
  # A colleague in a browser of their own.
  def colleague(&)
    using_session(:colleague) do
      visit "/"
      fill_in "Your name", with: "Joris"
      fill_in "Password", with: "fish on fridays"
      click_button "Sign in"
      expect(page).to have_no_css("h1", text: "Sign in")
      yield
    end
  end

  before { ask_as_teacher("/api/teachers", name: "Joris", password: "fish on fridays") }

  it "lends a class to a substitute, who teaches in it, and then hands it over" do
    visit "/class/register"
    select "Joris", from: "Colleague"
    choose "Lend to a substitute, until"
    expect(page).to have_field("Last day").and have_text("They can't change the register or settings.")
    click_button "Lend class"
    expect(page).to have_css("li", text: /Joris\s*lent until/)
    colleague do
      visit "/class/register"
      expect(page).to have_text("This class is lent to you by Marit until").and have_no_field("Add children", exact: false)
      visit "/plan"
      click_button "Plan lesson"
      expect(page).to have_link("Start lesson")
    end
    click_button "End access for Joris"
    expect(page).to have_no_css("li", text: "lent until")
    select "Joris", from: "Colleague"
    click_button "Hand over…"
    within(".modal") { click_button "Hand over" }
    expect(page).to have_no_css(".class-menu", text: "Curlew class")
    using_session(:colleague) do
      visit "/class/register"
      expect(page).to have_field("Add children", exact: false)
    end
  end

  it "removes a colleague's account, whose classes somebody gets" do
    store.shares.hand_over(1, store.db[:accounts].where(login: "Joris").get(:id))
    visit "/account"
    click_button "New password for Joris"
    fill_in "Password", with: "short", match: :prefer_exact
    expect(page).to have_button("Set password", disabled: true)
    fill_in "Your own password", with: "not mine"
    click_button "Set password"
    expect(page).to have_css(".modal [role='alert']", text: "isn't your current password")
    fill_in "Your own password", with: BrowserHelpers::TEACHER[:password]
    click_button "Set password"
    expect(page).to have_css(".modal [role='alert']", text: /at least 10 characters/)
    fill_in "Password", with: "a boat in the bay", match: :prefer_exact
    click_button "Set password"
    expect(page).to have_css("[role='status']", text: "Joris has a new password").and have_no_css(".modal")
    click_button "Delete the account of Joris"
    expect(page).to have_select("Who gets their 1 class?", selected: "Marit")
    fill_in "Your own password", with: BrowserHelpers::TEACHER[:password]
    click_button "Delete account"
    expect(page).to have_css("[role='status']", text: "Account deleted: Joris.").and have_no_button("Delete the account of Joris")
    visit "/"
    expect(page).to have_css(".class-menu", text: "Curlew class")
  end

  it "takes a safe copy away, and it is put back where the file was damaged" do
    folder = Dir.mktmpdir("taken")
    browser.execute_cdp("Browser.setDownloadBehavior", behavior: "allow", downloadPath: folder)
    visit "/account"
    expect(page).to have_text("Never downloaded yet.")
    click_button "Safe copy"
    fill_in "Your own password", with: BrowserHelpers::TEACHER[:password]
    click_button "Download copy"
    copy = nil
    eventually { expect(copy = Dir[File.join(folder, "vantick-*.sqlite3")].first).not_to be_nil }
    expect(page).to have_text("Last downloaded today").and have_css("li", text: "Marit downloaded a full copy")

    damaged = File.join(folder, "school", "vantick.sqlite3")
    FileUtils.mkdir_p(File.dirname(damaged))
    File.write(damaged, "what a broken disk left of it")
    said, status = Open3.capture2e({ "VANTICK_DB" => damaged, "RACK_ENV" => "test" }, File.join(ROOT, "bin/vantick"), "restore", copy)
    expect(status).to be_success, said
    school = Vantick::Server::Store::Database.open(damaged)
    expect(school.classes.all.first.children.length).to eq(26)
    expect(school.db[:answers].count).to eq(store.db[:answers].count)
    school.close
  ensure
    FileUtils.rm_rf(folder) if folder
  end
end
