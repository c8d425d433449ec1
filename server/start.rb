# frozen_string_literal: true

# Starts the server and stays until it is stopped: VANTICK_HOST, VANTICK_PORT and VANTICK_DB say where.
require "bundler/setup"
require "puma"
require "puma/configuration"
require "puma/launcher"
require "socket"
require "ipaddr"

host = ENV.fetch("VANTICK_HOST", "127.0.0.1")
port = ENV.fetch("VANTICK_PORT", "4567")

begin
  TCPServer.new(host, port.to_i).close
rescue SystemCallError, SocketError => e
  again = "#{ENV.fetch('VANTICK_COMMAND', 'bin/start')} --port 4568"
  abort "Vantick cannot listen on #{host}, port #{port} (#{e.class.name.split('::').last}). Try another, such as: #{again}"
end

# One of a network at home or in a school before all others.
def own_address
  all = Socket.ip_address_list.select { |one| one.ipv4? && !one.ipv4_loopback? }
  (all.find(&:ipv4_private?) || all.first)&.ip_address
end

# Where devices in the room find Vantick; nothing where it listens to this machine alone.
def room(host, port)
  address = IPAddr.new(host == "localhost" ? "127.0.0.1" : host)
  return if address.loopback?
  return ENV["VANTICK_ADDRESS"] if ENV["VANTICK_ADDRESS"]

  any = address == IPAddr.new(address.ipv6? ? "::" : "0.0.0.0")
  found = any ? own_address : host
  found && "http://#{found.include?(':') ? "[#{found}]" : found}:#{port}"
rescue IPAddr::Error
  "http://#{host}:#{port}"
end
in_room = room(host, port)
ENV["VANTICK_ADDRESS"] ||= in_room if in_room

configuration = Puma::Configuration.new do |config|
  config.bind "tcp://#{host.include?(':') ? "[#{host}]" : host}:#{port}"
  config.rackup File.expand_path("config.ru", __dir__)
  config.threads 1, 5
  config.raise_exception_on_sigterm false
end
events = Puma::Events.new
events.on_booted do
  puts "Vantick is ready: http://#{host}:#{port}   (Ctrl-C stops it)"
  puts "For devices in the room: #{in_room}/desk" if in_room
end

$stdout.sync = true
log_writer = Puma::LogWriter.new(File.open(File::NULL, "w"), $stderr)
Puma::Launcher.new(configuration, log_writer:, events:).run
puts "Vantick has stopped; what was entered is kept."
