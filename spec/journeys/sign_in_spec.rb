# frozen_string_literal: true

RSpec.describe "Who gets in" do
  def fill(name, password)
    fill_in "Your name", with: name
    fill_in "Password", with: password
  end

  it "makes the first account on screen, and goes on to the first class", :empty do
    visit "/plan"
    expect(page).to have_css("h1", text: "Welcome to Vantick")
    fill("Marit", "short")
    expect(page).to have_button("Create account", disabled: true)
    select "United States", from: "Country"
    click_button "Create account"
    expect(page).to have_css(".field [role='alert']", text: "at least 10 characters")
    expect(page).to have_field("Your name", with: "Marit").and have_select("Country", selected: "United States")
    fill("Marit", "four words in a row")
    click_button "Create account"
    click_link "Vantick"
    expect(page).to have_css("h1", text: "Start with a class")
    made = page.evaluate_async_script(<<~JS)
      fetch("/api/classes", { method: "POST", headers: { "content-type": "application/json" },
        body: JSON.stringify({ name: "Dunlin class", school: "", children: ["Bo"] }) }).then((told) => told.json()).then(arguments[0]);
    JS
    expect(made["conventions"]).to include("english" => "american", "past_word" => "after", "separator" => "colon")
  end

  it "shows a stranger the sign-in at every page, and nothing else", :demo, :stranger do
    # One gate stands before all pages; these are one of each part. The API's doors have a spec of their own.
    %w[/ /plan/2/run /show /check/3 /class/child/5 /devices/keys].each do |address|
      visit address
      expect(page).to have_css("h1", text: "Sign in")
      expect(page).to have_no_text("Curlew").and have_no_text("Anneke")
    end
  end

  it "refuses a wrong password in the field, keeps the name, lets the right one in and out again", :demo, :stranger do
    visit "/class"
    fill("Marit", "the lamp is out")
    click_button "Sign in"
    expect(page).to have_css(".field [role='alert']", text: "The name or password isn't right.")
    expect(page).to have_field("Your name", with: "Marit")
    expect(page).to be_accessible
    fill("Marit", BrowserHelpers::TEACHER[:password])
    click_button "Sign in"
    expect(page).to have_css("h1", text: "Curlew class")
    find("header .dropdown-toggle").click
    click_button "Sign out"
    expect(page).to have_css("h1", text: "Sign in")
    page.go_back
    expect(page).to have_no_text("Anneke")
  end

  it "changes the password, makes an account for a colleague, and signs out everywhere", :demo do
    visit "/account"
    find("summary", text: "Change password").click
    fill_in "Current password", with: "not this"
    fill_in "New password", with: "a boat in the bay"
    click_button "Change password"
    expect(page).to have_css("[role='alert']", text: "That isn't your current password.")
    fill_in "Current password", with: BrowserHelpers::TEACHER[:password]
    click_button "Change password"
    expect(page).to have_css("[role='status']", text: "Password changed")
    find("summary", text: "Add a colleague").click
    fill_in "Name", with: "Joris"
    fill_in "First password", with: "fish on fridays"
    click_button "Add colleague"
    expect(page).to have_css("[role='status']", text: "Joris can sign in now")

    using_session(:colleague) do
      visit "/"
      fill("Joris", "fish on fridays")
      click_button "Sign in"
      expect(page).to have_css("h1", text: "Start with a class")
      visit "/results/3"
      expect(page).to have_no_text("Anneke")
    end
    click_button "Sign out everywhere"
    expect(page).to have_css("h1", text: "Sign in")
    using_session(:colleague) { expect(page).to have_no_css("h1", text: "Sign in") }
  end

  it "leads to the sign-in when a session has ended, and back", :demo do
    visit "/class"
    expect(page).to have_text("Anneke")
    store.db[:account_active_session_keys].delete
    click_link "Plan"
    expect(page).to have_css("h1", text: "Sign in")
    fill("Marit", BrowserHelpers::TEACHER[:password])
    click_button "Sign in"
    expect(page).to have_css("nav a.active", text: "Plan")
  end

  it "lets in who comes back to a page after the session has ended", :demo do
    visit "/class"
    expect(page).to have_css("h1", text: "Curlew class")
    browser.execute_cdp("Network.clearBrowserCookies")
    visit "/class"
    fill("Marit", BrowserHelpers::TEACHER[:password])
    click_button "Sign in"
    expect(page).to have_css("h1", text: "Curlew class")
  end

  it "gives a child at a desk nothing of the teacher's", :stranger do
    desk = open_desk(school_class[:id])
    join(desk, "Anneke")
    visit "/class"
    expect(page).to have_css("h1", text: "Sign in")
    statuses = browser.execute_async_script(<<~JS, ["/api/classes", "/api/desks/#{desk['id']}", "/api/classes/#{desk['class_id']}/keys"])
      const [addresses, done] = arguments;
      Promise.all(addresses.map((address) => fetch(address).then((found) => found.status))).then(done);
    JS
    expect(statuses).to eq([401, 401, 401])
  end

  it "runs under its content policy: nothing on any page is refused by it", :demo do
    desk = ask_as_teacher("/api/classes/1/desks", kind: "practice")
    watch = "window.refused = []; document.addEventListener('securitypolicyviolation', (one) => window.refused.push(one.violatedDirective))"
    browser.execute_cdp("Page.addScriptToEvaluateOnNewDocument", source: watch)
    ["/show?times=7:45", "/plan/2", "/sheets", "/class/child/5", "/class/weeks", "/devices/#{desk['id']}", "/join"].each do |address|
      visit address
      expect(page).to have_css("h1")
      expect(browser.execute_script("return window.refused")).to eq([]), address
    end
  end

  it "says why a session has ended, and leads back to where one was, with what was typed", :demo do
    visit "/class/new"
    fill_in "Children, one on each line", with: "Ana\nBo"
    expect(page).to have_text("2 children: Ana · Bo")
    browser.manage.delete_all_cookies
    click_link "Plan"
    expect(page).to have_css("[role=status]", text: "You were signed out")
    fill("Marit", BrowserHelpers::TEACHER[:password])
    click_button "Sign in"
    expect(page).to have_css("h2", text: "The ladder")
    visit "/class/new"
    expect(page).to have_field("Children, one on each line", with: "Ana\nBo")
  end
end
