# frozen_string_literal: true

# Makes the demo's file, and its class and teacher where they are missing: VANTICK_DB says where; `--fresh` begins anew.
require "bundler/setup"
%w[core server].each { |room| $LOAD_PATH.unshift(File.expand_path("../#{room}/lib", __dir__)) }
require_relative "seed"

path = ENV.fetch("VANTICK_DB")
begin
  kept = ARGV.first == "--fresh" && Vantick::Server::Store::SafeCopy.move_aside(path)
  puts "Starting over. What was entered is saved in #{kept}" if kept
  store = Vantick::Server::Store::Database.open(path)
  demo = Vantick::Demo.new(store, now: Vantick::Server::Clock.now)
  made = demo.tell
  puts "Made the demo class: Tern Quay School, Curlew class, 26 made-up children" if made
  demo.hire
  demo.lend if made
  demo.stack
  store.close
rescue Vantick::Server::Store::Unusable => e
  abort e.message
end
