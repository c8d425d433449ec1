# frozen_string_literal: true

# A part that teacher and child share is laid out by the same names: what the teacher's sheet has and the desk's has not is lost
# on children alone, without a word.
RSpec.describe "The sheets of styles" do
  def built(kind, name) = File.read(Dir[File.join(ROOT, "web/dist/assets", "#{name}-*.#{kind}")].max_by { |file| File.size(file) })

  # Names that a sheet lays out by themselves, at every width; beside others, where a list of them will do.
  def laid_out(sheet, ends = "{") = sheet.scan(/(?<=[{},])\.([\w-]+)(?=[#{ends}])/).flatten.uniq

  # What parts are written with: class:"one two", and the fixed part of class:[...].
  def written(script) = script.scan(/class:(?:[\w$]+\(\[?)?["`]([\w -]+)["`]/).flat_map { |names| names.first.split }.uniq

  it "have at the desk whatever its parts are laid out with" do
    at_desk = written(built("js", "desk"))
    expect(at_desk).to include("key", "w-100")
    expect((at_desk & laid_out(built("css", "index"))) - laid_out(built("css", "desk"), "{,")).to eq([])
  end

  # Some names are put together as a page runs, and stand nowhere as a whole.
  it "have what pages name or put together, and none of what nobody names" do
    there = laid_out(built("css", "index"))
    expect(there).to include("d-grid", "text-nowrap", "gap-06", "tone-minute", "tone-ink")
    expect(built("css", "index")).not_to include("float-xxl-end", "order-md-3")
  end
end
