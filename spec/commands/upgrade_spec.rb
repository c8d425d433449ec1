# frozen_string_literal: true

# Another Vantick in the place of one, and back: with archives that are put together here, so that no packages have to be fetched.
RSpec.describe "bin/upgrade" do
  let(:folder) { Dir.mktmpdir }
  let(:step) { "Sequel.migration { up { from(:classes).update(name: 'Later') } }\n" }
  let(:home) { File.join(folder, "vantick") }
  let(:school) { File.join(home, "data/vantick.sqlite3") }

  after { FileUtils.rm_rf(folder) }

  # This Vantick as an archive has it, with a name of its own and another step for the school's file.
  def program(to, version, migration: nil)
    FileUtils.mkdir_p(to)
    system("git archive HEAD bin cli core demo docs server Gemfile Gemfile.lock | tar -x -C #{to}", chdir: ROOT, exception: true)
    FileUtils.cp(File.join(ROOT, "bin/upgrade"), File.join(to, "bin/upgrade"))
    FileUtils.cp(Dir[File.join(ROOT, "server/db/migrations/*.rb")], File.join(to, "server/db/migrations"))
    File.symlink(File.join(ROOT, "vendor"), File.join(to, "vendor"))
    FileUtils.cp_r(File.join(ROOT, ".bundle"), to) if File.directory?(File.join(ROOT, ".bundle"))
    File.write(File.join(to, "RELEASE"), "#{version} 0123abc\n")
    return unless migration

    last = Dir[File.join(to, "server/db/migrations/*.rb")].map { |file| File.basename(file).to_i }.max
    File.write(File.join(to, format("server/db/migrations/%03d_later.rb", last + 1)), migration)
  end

  def archive(version, migration)
    program(File.join(folder, "make/vantick-#{version}"), version, migration:)
    file = File.join(folder, "vantick-#{version}.tar.gz")
    system("tar", "-C", File.join(folder, "make"), "-czf", file, "vantick-#{version}", exception: true)
    FileUtils.rm_rf(File.join(folder, "make"))
    file
  end

  def run(*arguments)
    env = { "BUNDLE_GEMFILE" => nil, "RUBYOPT" => nil, "VANTICK_DB" => nil }
    output, status = Open3.capture2e(env, "bash", File.join(home, "bin/upgrade"), *arguments, chdir: folder)
    [output, status.exitstatus]
  end

  def version = File.read(File.join(home, "RELEASE")).split.first

  def make_school
    FileUtils.mkdir_p(File.dirname(school))
    store = Vantick::Server::Store::Database.open(school)
    store.classes.add(name: "Curlew", school: "", names: ["Bo"], made_at: "2026-03-02T08:00:00Z")
    store.close
  end

  def names
    database = Sequel.sqlite(school)
    database[:classes].select_map(:name)
  ensure
    database&.disconnect
  end

  it "takes the place of the one before, with the school's file, and goes back to both" do
    program(home, "0.1.0")
    make_school
    output, status = run(archive("0.2.0", step))
    expect([status, version]).to eq([0, "0.2.0"]), output
    expect(output).to include("This is Vantick 0.2.0 now")
    # Nothing is changed in the school's file before the new Vantick starts.
    expect(names).to eq(["Curlew"])
    store = Sequel.sqlite(school)
    Sequel.extension(:migration)
    Sequel::Migrator.run(store, File.join(home, "server/db/migrations"))
    store.disconnect
    expect(names).to eq(["Later"])
    output, status = run("--back")
    expect([status, version]).to eq([0, "0.1.0"]), output
    expect(names).to eq(["Curlew"])
    expect(Dir[File.join(folder, "vantick.since-*")].length).to eq(1)
  end

  it "changes nothing where the new one can't open the file, isn't an archive, or while Vantick runs" do
    program(home, "0.1.0")
    make_school
    output, status = run(archive("0.3.0", "Sequel.migration { up { raise 'no' } }\n"))
    expect([status, output]).to match([1, /can't open this school's file. Nothing was changed/])
    File.write(File.join(folder, "notes.tar.gz"), "x")
    expect(run("notes.tar.gz")).to match([/is no archive of Vantick/, 1])
    expect(run("none.tar.gz")).to match([/There is no file/, 1])
    expect(run).to match([%r{bin/upgrade ARCHIVE}, 2])
    expect(run("--back")).to match([/nothing to go back to/, 1])
    store = Vantick::Server::Store::Database.open(school)
    expect(run(archive("0.2.0", step))).to match([/Vantick is running/, 1])
    store.close
    expect([version, names, Dir[File.join(folder, "vantick.*")].grep_v(/tar/)]).to eq(["0.1.0", ["Curlew"], []])
  end
end
