# frozen_string_literal: true

require "socket"

host = ENV.fetch("VANTICK_HOST", "127.0.0.1")
port = ENV.fetch("VANTICK_PORT", "4567")

begin
  TCPServer.new(host, port.to_i).close
rescue SystemCallError, SocketError => e
  abort "Vantick cannot listen on #{host}, port #{port} (#{e.class.name.split('::').last}). Try another, such as: bin/demo --port 4568"
end

bind "tcp://#{host.include?(':') ? "[#{host}]" : host}:#{port}"
threads 1, 5
log_requests false
silence_single_worker_warning
quiet
raise_exception_on_sigterm false
on_booted { puts "Vantick is ready: http://#{host}:#{port}   (Ctrl-C stops it)" }
