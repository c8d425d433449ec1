# frozen_string_literal: true

RSpec.describe "The register in the first week of a school", :demo do
  def row(name) = find("section[aria-label='Children'] li", text: name, match: :first)

  it "takes a child in, calls one otherwise, lets one leave and come back, and erases one for good" do
    visit "/class/register"
    expect(page).to have_text("26 children")
    fill_in "Add children", with: "Zilla, Zeno\t"
    expect(page).to have_css("[role='status']", text: "2 children: Zilla · Zeno")
    click_button "Add"
    expect(page).to have_text("28 children").and have_link("Zilla")
    type_and_press "Add children", "Anneke", "Add"
    expect(page).to have_text("Anneke is now Anneke 2")
    expect(find_field("Add children", exact: false).value).to eq("Anneke")
    expect(page).to have_text("28 children").and have_no_link("Anneke 2")
    fill_in "Add children", with: ""

    click_button "Rename Zeno"
    fill_in "Another name for Zeno", with: "Zenon"
    click_button "Save", exact: true
    expect(page).to have_link("Zenon").and have_no_field("Another name for Zeno")

    click_button "Bram has left"
    click_button "Undo"
    expect(page).to have_no_css("h2", text: "Left")
    click_button "Bram has left"
    expect(page).to have_css("h2", text: "Left").and have_button("Restore Bram")
    visit "/class"
    expect(page).to have_css("tbody tr", minimum: 20).and have_no_css("tbody th", text: "Bram")
    visit "/class/register"
    click_button "Restore Bram"
    expect(page).to have_no_css("h2", text: "Left")

    within(row("Elio")) { click_button "Erase Elio…" }
    expect(page).to have_link("Everything, to read (PDF)").and have_button("Erase for good", disabled: true)
    fill_in "Type Elio to erase", with: "Elio"
    click_button "Erase for good"
    expect(page).to have_no_css(".modal").and have_no_link("Elio").and have_text("27 children")
    expect(page).to have_css("[role='status']", text: /\AErased\. We looked in \d+ places: nothing is left\.\z/)
    expect(store.db[:children].where(name: "Elio").count).to eq(0)
  end

  it "ends the year: who moves up is in the new class with the record, and the old class is put away" do
    visit "/class/register"
    fill_in "New class name", with: "Curlew class, third year"
    find("summary", text: "26 children move up").click
    check "Anneke"
    expect(page).to have_css("summary", text: "25 children move up")
    click_button "Move up"
    expect(page).to have_text("25 children").and have_css(".class-menu", text: "Curlew class, third year")
    click_link "Dara"
    expect(page).to have_css("h1", text: "Dara").and have_css("h2", text: "All answers")
    expect(store.classes.all.map { |one| [one.name, one.archived] }).to eq([["Curlew class, third year", false], ["Curlew class", true]])
  end
end
