# frozen_string_literal: true

ENV["RACK_ENV"] = "test" # passwords are quick to make here

ROOT = File.expand_path("..", __dir__)
$LOAD_PATH.unshift(*%w[core server cli].map { |room| File.join(ROOT, room, "lib") })

require_relative "all_of_some"
require_relative "thorough"
require_relative "measured_web"

require "fileutils"
require "json"
require "open3"
require "tmpdir"
require "vantick/cli"
require "vantick/server"
require_relative "../demo/seed"

Dir[File.join(__dir__, "support/*.rb")].each { |file| require file }

RSpec.configure do |config|
  config.disable_monkey_patching!
  config.include BrowserHelpers, type: :feature
  config.define_derived_metadata(file_path: %r{/spec/journeys/}) { |metadata| metadata[:type] = :feature }
end
