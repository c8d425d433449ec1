# frozen_string_literal: true

# The worker: it does beside the server whatever takes long. It is started by the server and ends with it.
$LOAD_PATH.unshift(File.expand_path("lib", __dir__), File.expand_path("../core/lib", __dir__))
require "vantick/server"

File.umask(0o077)
Vantick::Server::Store::SchoolDay.zone = ENV.fetch("VANTICK_TIME_ZONE", nil)
begin
  store = Vantick::Server::Store::Database.open(ENV.fetch("VANTICK_DB"))
  Vantick::Server::Work::Worker.new(store, place: ENV.fetch("VANTICK_PLACE", "0").to_i, input: $stdin).run
rescue Vantick::Server::Store::Unusable => e
  abort "Vantick: the worker cannot work with the school's file. #{e.message}"
end
