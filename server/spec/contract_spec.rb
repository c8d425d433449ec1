# frozen_string_literal: true

# The contract as other programs read it.
RSpec.describe "The contract" do
  contract = YAML.safe_load_file(File.join(Vantick::Server::ROOT, "openapi.yaml"), aliases: true)
  operations = contract["paths"].flat_map do |path, item|
    item.slice("get", "post", "put", "delete", "patch").map { |method, operation| ["#{method} #{path}", operation] }
  end
  tags = contract["tags"].map { |tag| tag["name"] }

  # Keys that a comma or a word of YAML made of the rest of a sentence.
  def cut(part, path = [])
    case part
    when Hash then part.flat_map { |key, value| odd?(key, value) ? ["#{path.join('/')}: #{key}"] : cut(value, [*path, key]) }
    when Array then part.each_with_index.flat_map { |value, at| cut(value, [*path, at]) }
    else []
    end
  end

  def odd?(key, value) = !key.is_a?(String) || (value.nil? && key.include?(" "))

  it "has no description that YAML cuts, and no key that is no word" do
    expect(cut(contract)).to eq([])
    expect(cut("a" => { "b" => "Which", "where there are several." => nil })).to eq(["a: where there are several."])
    expect(cut("off" => 1, true => 2)).to eq([": true"])
  end

  it "says where it is served, and has each operation once, under one of its tags, with a sentence of its own" do
    expect(contract["servers"].map { |server| server["url"] }).to eq(["/"])
    operations.each do |name, operation|
      expect(tags & operation["tags"]).to eq(operation["tags"]), name
      expect(operation["tags"].length).to eq(1), name
      expect(operation["summary"]).to match(/\A[A-Z].*\.\z/m), name
      expect(operation["responses"]["default"]).to eq("$ref" => "#/components/responses/Problem"), name
    end
    ids = operations.map { |_, operation| operation["operationId"] }
    expect(ids.tally.reject { |_, many| many == 1 }).to eq({})
    expect(tags - operations.flat_map { |_, operation| operation["tags"] }).to eq([])
  end

  describe "has each operation answered" do
    answered = Vantick::Server::HANDLERS.call
    all = Vantick::Server::Http::Operation.all

    it "by one handler, but for what stands before them" do
      by = all.to_h { |operation| [operation.name, answered.count { |handler| handler.answers?(operation) }] }
      expect(by.reject { |_, handlers| handlers == 1 }).to eq(sign_in: 0, sign_out: 0, change_password: 0, read_health: 0)
    end

    it "and no handler does what the contract does not have" do
      more = answered.to_h { |handler| [handler, handler.public_instance_methods(false) - all.map(&:name)] }
      expect(more.reject { |_, methods| methods.empty? }).to eq({})
      folders = File.join(Vantick::Server::ROOT, "lib/vantick/server/**/*.rb")
      expect(answered.length).to eq(Dir[folders].count { |file| File.read(file).include?("< Handler\n") })
    end

    it "with its one success, or with one that the handler names" do
      several, one = all.partition { |operation| operation.successes.length > 1 }
      expect(several.map(&:name)).to contain_exactly(:read_forecast, :read_suggestions, :copy_lesson, :open_exit, :add_answer)
      expect(one.map(&:status).uniq).to contain_exactly(200, 201)
      expect { several.first.status }.to raise_error(KeyError, /202 and 200|200 and 202/)
    end
  end

  # Fields for codes and times have a form of their own, and at most so many letters.
  it "says how long a text may be, in one place for all: pages and what reads the folder of lists ask it" do
    pages = Dir[File.expand_path("../../web/src/**/*.vue", __dir__)]
    lengths = pages.to_h { |page| [File.basename(page), File.read(page).scan(/\smaxlength="(\d+)"/).flatten.map(&:to_i)] }
    by_hand = lengths.transform_values { |all| all.select { |most| most > 12 } }
    expect(by_hand.length).to be > 100
    expect(by_hand.reject { |_, found| found.empty? }).to eq({})
    letters = contract.dig("components", "schemas", "FileSent", "maxLength")
    expect(Vantick::Server::Work::RosterFolder::LARGEST).to eq(letters * 3 / 4)
  end
end
