# frozen_string_literal: true

# Other programs that a teacher lets in: calendars that follow, tokens, and the page that shows the contract.
RSpec.describe "Other programs", :demo do
  it "gives a calendar an address to follow, and withdraws it" do
    visit "/plan"
    click_button "Add to calendar"
    within(".modal.show") do
      click_button "Make address"
      expect(page).to have_css("svg[aria-label='The calendar\\'s address as a QR code']").and have_link("Open in calendar")
    end
    address = find(".modal.show code", text: "/api/calendars/").text
    calendar = Net::HTTP.get_response(URI(address))
    expect([calendar.code, calendar.body]).to match(["200", /\ABEGIN:VCALENDAR\r\n/])
    expect(page).to be_axe_clean
    click_button "Withdraw address…"
    find(".modal.show", text: "Withdraw this address?").click_button("Withdraw")
    expect(page).to have_button("Make address")
    expect(Net::HTTP.get_response(URI(address)).code).to eq("404")
  end

  it "makes a token that is shown once and opens the class for a program, until it is withdrawn" do
    visit "/class/register"
    fill_in "What is it for?", with: "The school's report"
    click_button "Make token"
    expect(page).to have_text("It won't be shown again.")
    token = find("code", text: "vantick_").text
    ask = lambda do
      uri = URI("#{page.server.base_url}/api/classes/1/register")
      Net::HTTP.start(uri.host, uri.port) { |http| http.get(uri.path, "Authorization" => "Bearer #{token}").code }
    end
    expect(ask.call).to eq("200")
    visit "/class/register"
    expect(page).to have_text("The school's report reads, used today").and have_no_text(token)
    click_button "Withdraw…"
    within(".modal.show") { click_button "Withdraw" }
    expect(page).to have_no_text("The school's report")
    expect(ask.call).to eq("401")
  end

  it "shows the contract to whoever writes a program, and what a token opens" do
    visit "/api/docs"
    contract = find("rapi-doc").shadow_root
    expect(contract).to have_css("*", text: "Authorization: Bearer", wait: 20)
    expect(contract).to have_css("*", text: "Reads answers given in another program")
  end
end
