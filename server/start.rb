# frozen_string_literal: true

# Starts the server and stays until it is stopped: VANTICK_HOST, VANTICK_PORT and VANTICK_DB say where.
require "bundler/setup"
$LOAD_PATH.unshift(File.expand_path("lib", __dir__), File.expand_path("../core/lib", __dir__))
require "vantick/server"

$stdout.sync = true
begin
  Vantick::Server::Serving.new(ENV).run
rescue Vantick::Server::Serving::Refused, Vantick::Server::Store::Unusable => e
  abort e.message
end
