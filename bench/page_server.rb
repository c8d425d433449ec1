# frozen_string_literal: true

# Serves an empty page as Vantick serves its own: what the time until Home is there is measured against.
require "bundler/setup"
require "puma"
require "puma/configuration"
require "puma/launcher"
require "rack"

folder, port = ARGV
configuration = Puma::Configuration.new do |config|
  config.bind "tcp://127.0.0.1:#{port}"
  config.app(Rack::Deflater.new(Rack::Files.new(folder)))
  config.threads 1, 5
end
log_writer = Puma::LogWriter.new(File.open(File::NULL, "w"), $stderr)
Puma::Launcher.new(configuration, log_writer:).run
