# frozen_string_literal: true

require "bundler/setup"
$LOAD_PATH.unshift(File.expand_path("lib", __dir__), File.expand_path("../core/lib", __dir__))
require "vantick/server"

Vantick::Server::LOADER.eager_load
# What every marking looks up takes seconds to make: nobody should wait for it at the first page.
Thread.new { Vantick::Core::Marking::Task.all.each { |task| Vantick::Core::Reading::Predictions.of(task) } }.priority = -1
path = ENV.fetch("VANTICK_DB") { File.expand_path("../data/vantick.sqlite3", __dir__) }
run Vantick::Server.app(store: Vantick::Server::Store::Database.open(path))
