# frozen_string_literal: true

# Files that anybody may have made, and the locked room in which other programs work on them.
RSpec.describe Vantick::Server::Outside::LockedRoom do
  # @return [Array<Integer>] processes of a group that are there yet
  def group(pid)
    Dir["/proc/[0-9]*/stat"].filter_map do |file|
      fields = File.read(file).rpartition(")").last.split
      File.basename(File.dirname(file)).to_i if fields[2].to_i == pid && fields[0] != "Z"
    rescue SystemCallError
      nil
    end
  end

  def limits(**other)
    stub_const("#{described_class}::LIMITS",
               { small: { seconds: 2, patience: 1, memory: 500_000_000, files: 10_000, **other } })
  end

  it "ends whatever was started in it, however deep, and takes its folder away" do
    folder = pid = nil
    described_class.open(:lists) do |room|
      folder = room.folder
      room.start("sh", "-c", "sleep 600 & sleep 600 & echo $$; wait")
      pid = room.gets.to_i
      expect(group(pid).length).to eq(3)
      expect(group(Process.getpgrp)).not_to include(pid)
    end
    # What was killed is gone as soon as its turn comes.
    Timeout.timeout(60) { sleep 0.02 until group(pid).empty? }
    expect(File.exist?(folder)).to be(false)
  end

  it "waits no longer than it may, and lets nothing take more of the processor, of memory and of the disk than it may" do
    limits
    expect { described_class.open(:small) { |room| room.start("sleep", "30") && room.read } }.to raise_error(described_class::TooMuch)
    limits(patience: 300)
    { "loop {}" => :seconds, "'x' * 900_000_000; puts 1" => :memory,
"File.write('big', 'x' * 20_000); puts 1" => :files }.each do |code, kind|
      described_class.open(:small) do |room|
        room.start_ruby("-e", code)
        expect(room.read).to eq(""), kind.to_s
        expect(room.well?).to be(false)
      end
    end
  end

  it "has hardly any environment, and a folder of its own that nobody else reads" do
    ENV["VANTICK_SECRET"] = "x"
    described_class.open(:lists) do |room|
      room.start("sh", "-c", "env; pwd; umask")
      said = room.read
      expect(said).to include("HOME=#{room.folder}").and include("\n#{room.folder}\n").and include("0077")
      expect(said).not_to include("VANTICK_SECRET")
      expect(File.stat(room.folder).mode & 0o777).to eq(0o700)
    end
  ensure
    ENV.delete("VANTICK_SECRET")
  end

  it "sweeps the folders of whoever has fallen, and no others" do
    fallen = File.join(Dir.tmpdir, "#{described_class::NAME}999999999-x")
    FileUtils.mkdir_p(fallen)
    described_class.open(:lists) do |room|
      described_class.sweep
      expect([File.exist?(fallen), File.exist?(room.folder)]).to eq([false, true])
    end
  end

  it "has its limits in a table, each with what it is for" do
    expect(described_class::LIMITS).to eq(
      lists: { seconds: 20, patience: 120, memory: 1_000_000_000, files: 1_000_000 },
      paper: { seconds: 240, patience: 120, memory: 2_000_000_000, files: 200_000_000 },
      codes: { seconds: 10, patience: 120, memory: 1_000_000_000, files: 1_000_000 }
    )
  end

  describe Vantick::Server::Formats::Foreign do
    it "says so where a file takes too long, and nobody waits for it" do
      stub_const("Vantick::Server::Outside::LockedRoom::LIMITS",
                 { lists: { seconds: 1, patience: 1, memory: 1_000_000_000, files: 1000 } })
      stub_const("#{described_class}::PROGRAM", File.join(folder, "slow.rb").tap { |file| File.write(file, "sleep 30") })
      expect { described_class.roster("Bo") }.to raise_error(Vantick::Core::Error, /took too long/)
    end

    # 446 zips with one byte or more gone wrong: none is a mistake of the server's own.
    it "takes damaged zips, and says what is wrong" do
      whole = Vantick::Server::Formats::Bundle.write("users.csv" => "sourcedId,givenName\nu1,Bo\n" * 20,
                                                     "classes.csv" => "sourcedId,title\nc1,C\n")
      random = Random.new(446)
      446.times do
        bytes = whole.dup
        random.rand(1..4).times { bytes.setbyte(random.rand(bytes.bytesize), random.rand(256)) }
        bytes = bytes.byteslice(0, random.rand(4..bytes.bytesize)) if random.rand < 0.3
        Vantick::Server::Formats::Bundle.read(bytes)
      rescue Vantick::Core::Error => e
        expect(e.field).to eq(:file)
      end
    end

    it "bounds what is in a zip by the sum of it, whatever the zip says" do
      many = (1..30).to_h { |at| ["#{at}.csv", "0" * 300_000] }
      zip = Vantick::Server::Formats::Bundle.write(many)
      expect { Vantick::Server::Formats::Bundle.read(zip) }.to raise_error(Vantick::Core::Error, /far larger/)
      lied = zip.gsub([300_000].pack("V"), [100].pack("V"))
      expect { Vantick::Server::Formats::Bundle.read(lied) }.to raise_error(Vantick::Core::Error)
    end
  end
end
