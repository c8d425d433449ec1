# frozen_string_literal: true

# An erasure on a small disk of its own that is nearly full, at several degrees of it:
#   ruby crowded.rb SCHOOL DISK CHILD NAME
# It says as JSON for each degree whether the child was gone, what was said, and whether anything was left once there was room again.
$LOAD_PATH.unshift(File.expand_path("../../lib", __dir__), File.expand_path("../../../core/lib", __dir__))
require "vantick/server"

FREE = [0, 8, 16, 32, 64, 96, 160, 256, 512, 900].freeze
from, disk, child, name = ARGV
work = Vantick::Server::Work

# Everything in every file.
read = -> { Dir[File.join(disk, "**/*")].select { |file| File.file?(file) }.map { |file| File.binread(file) }.join }
sound = lambda do |file|
  Vantick::Server::Store::SafeCopy.look(file) do |database|
    database.fetch("PRAGMA integrity_check").single_value == "ok" && database[:children].where(name: "Other").one?
  end
end

found = FREE.map do |free|
  FileUtils.rm_rf(Dir[File.join(disk, "*")])
  FileUtils.cp_r(File.join(from, "."), disk)
  path = File.join(disk, "school.sqlite3")
  store = Vantick::Server::Store::Database.open(path)
  ballast = File.join(disk, "ballast")
  left = Vantick::Server::Store::SafeCopy.free(disk) - (free * 1024)
  File.binwrite(ballast, "0" * [left, 0].max)
  begin
    work::Erasure.begin(store, "child", child.to_i)
    work::Runner.wake(store, log: StringIO.new).join
    said = store.jobs.open(["erasure"], class_id: nil).first&.trouble
  rescue Sequel::DatabaseError, Vantick::Server::Store::Busy => e
    said = Vantick::Server::Store::SchoolFile.why(e).to_s
  end
  gone = store.db[:children].where(id: child.to_i).empty?
  store.close
  File.delete(ballast)
  # The next start, with room again.
  store = Vantick::Server::Store::Database.open(path)
  work::Erasure.begin(store, "child", child.to_i) unless gone
  store.jobs.resume
  work::Copies.sweep(store)
  work::Runner.wake(store, log: $stderr).join
  states = store.db[:jobs].select_map(:state)
  store.close
  { free:, gone:, said:, states:, left: read.call.include?(name), sound: [path, *Dir[File.join(disk, "copies/*.sqlite3")]].map(&sound) }
end
puts JSON.generate(found)
