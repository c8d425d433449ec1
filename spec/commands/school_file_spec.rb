# frozen_string_literal: true

require "vantick/server"

# The commands about a school's own file, as somebody at the machine gives them.
RSpec.describe "bin/vantick" do
  let(:folder) { Dir.mktmpdir("school") }
  let(:file) { File.join(folder, "vantick.sqlite3") }

  after { FileUtils.rm_rf(folder) }

  def vantick(*arguments, input: "")
    output, errors, status = Open3.capture3({ "VANTICK_DB" => file, "RACK_ENV" => "test" }, File.join(ROOT, "bin/vantick"), *arguments,
                                            stdin_data: input)
    [output, errors, status.exitstatus]
  end

  def school
    store = Vantick::Server::Store::Database.open(file)
    yield store
  ensure
    store&.close
  end

  def class_name = school { |store| store.classes.all.first[:name] }

  it "backup and restore bring a school back, also from a copy made while somebody works with it" do
    copy = File.join(folder, "monday.sqlite3")
    school do |store|
      store.classes.add(name: "Curlew", school: "", names: %w[Bo], made_at: "2026-01-01T00:00:00Z")
      expect(vantick("backup", copy)).to match([/Copied .* to .*monday/, "", 0])
      store.db[:classes].update(name: "Dunlin")
      expect(vantick("restore", copy)).to match(["", /is in use by another program/, 1])
    end
    expect(class_name).to eq("Dunlin")
    expect(vantick("restore", copy)).to match([/What was there before is now .*before-restore-\d{8}-\d{6}/, "", 0])
    expect(class_name).to eq("Curlew")
    expect(vantick("backup", copy)).to match(["", /is already there/, 1])
    expect(vantick("restore", File.join(folder, "none"))).to match(["", /There is no file/, 1])
    expect(vantick("backup")).to match(["", /name the file for the copy/, 1])
  end

  it "password lets a teacher in again who forgot theirs, and ends where they were signed in" do
    school { |store| Vantick::Server::Access::SignIn.accounts(store).create_account(login: "Marit", password: "the lamp is lit") }
    expect(vantick("password", "marit", input: "short\n")).to match(["", /at least 10/, 1])
    expect(vantick("password", "Nobody", input: "another lamp is lit\n")).to match(["", /There is no account Nobody/, 1])
    expect(vantick("password", "marit", input: "another lamp is lit\n")).to match([/Marit signs in with the new password/, "", 0])
    school do |store|
      accounts = Vantick::Server::Access::SignIn.accounts(store)
      let_in = ->(password) { accounts.valid_login_and_password?(login: "Marit", password:) }
      expect([let_in["another lamp is lit"], let_in["the lamp is lit"]]).to match([true, be_falsey])
    end
  end
end
