# frozen_string_literal: true

# Starts the server and stays until it is stopped: VANTICK_HOST, VANTICK_PORT and VANTICK_DB say where.
require "bundler/setup"
require "puma"
require "puma/configuration"
require "puma/launcher"
require "socket"

host = ENV.fetch("VANTICK_HOST", "127.0.0.1")
port = ENV.fetch("VANTICK_PORT", "4567")

begin
  TCPServer.new(host, port.to_i).close
rescue SystemCallError, SocketError => e
  abort "Vantick cannot listen on #{host}, port #{port} (#{e.class.name.split('::').last}). Try another, such as: bin/demo --port 4568"
end

configuration = Puma::Configuration.new do |config|
  config.bind "tcp://#{host.include?(':') ? "[#{host}]" : host}:#{port}"
  config.rackup File.expand_path("config.ru", __dir__)
  config.threads 1, 5
  config.raise_exception_on_sigterm false
end
events = Puma::Events.new
events.on_booted { puts "Vantick is ready: http://#{host}:#{port}   (Ctrl-C stops it)" }

$stdout.sync = true
log_writer = Puma::LogWriter.new(File.open(File::NULL, "w"), $stderr)
Puma::Launcher.new(configuration, log_writer:, events:).run
puts "Vantick has stopped; what was entered is kept."
