# frozen_string_literal: true

# What the cost of an answer is measured against: a bare Sinatra route that inserts one row, as durably.
require "bundler/setup"
require "puma"
require "puma/configuration"
require "puma/launcher"
require "json"
require "sinatra/base"
$LOAD_PATH.unshift(*%w[core server].map { |room| File.expand_path("../#{room}/lib", __dir__) })
require "vantick/server"

file, port = ARGV
# The same file, pragmas and locks; one table more.
DATABASE = Vantick::Server::Store::Database.open(file).db
DATABASE.create_table?(:bare, strict: true) do
  primary_key :id
  column :uuid, :text, null: false, unique: true
  column :answer, :text, null: false
end

# One route, one row.
class Bare < Sinatra::Base
  set :host_authorization, { permitted_hosts: [] }

  post "/rows" do
    row = JSON.parse(request.body.read)
    DATABASE[:bare].insert(uuid: row["uuid"], answer: row["answer"])
    content_type :json
    "{}"
  end
end

configuration = Puma::Configuration.new do |config|
  config.bind "tcp://127.0.0.1:#{port}"
  config.app Bare
  config.threads 1, 5
end
log_writer = Puma::LogWriter.new(File.open(File::NULL, "w"), $stderr)
Puma::Launcher.new(configuration, log_writer:).run
