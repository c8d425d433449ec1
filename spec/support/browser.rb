# frozen_string_literal: true

require "rspec/expectations"
require "axe-rspec"
require "capybara/rspec"
require "selenium-webdriver"

# A real browser without a monitor, on a school of its own for each example.
module BrowserHelpers
  CHROME = %w[--headless=new --no-sandbox --disable-gpu --disable-quic --no-first-run --disable-background-networking
              --disable-component-update --disable-sync --disable-dev-shm-usage --window-size=1280,900].freeze
  AXE_TAGS = %i[wcag2a wcag2aa wcag21a wcag21aa wcag22aa].freeze

  # The school behind the pages. Capybara serves one application; it asks here for the one of the example.
  class School
    class << self
      attr_accessor :app

      def call(env) = app.call(env)
    end
  end

  def self.driver(app)
    options = Selenium::WebDriver::Chrome::Options.new(args: CHROME + ["--user-data-dir=#{Dir.mktmpdir('chrome')}"])
    service = Selenium::WebDriver::Service.chrome(path: "/usr/bin/chromedriver")
    Capybara::Selenium::Driver.new(app, browser: :chrome, options:, service:)
  end

  # @return [Vantick::Server::Store::Database] of the example's school
  attr_reader :store

  # The demo's school is made once and copied for each example.
  def self.demo
    @demo ||= File.join(Dir.mktmpdir("demo"), "school.sqlite3").tap do |file|
      store = Vantick::Server::Store::Database.open(file)
      Vantick::Demo.new(store, now: Time.now).seed
      store.db.run("PRAGMA wal_checkpoint(TRUNCATE)")
      store.close
    end
  end

  def open_school(demo: false)
    @folder = Dir.mktmpdir("school")
    file = File.join(@folder, "school.sqlite3")
    FileUtils.cp(BrowserHelpers.demo, file) if demo
    @store = Vantick::Server::Store::Database.open(file)
    School.app = Vantick::Server.app(store: @store)
  end

  def close_school
    Capybara.reset_sessions!
    @store.close
    FileUtils.rm_rf(@folder)
  end

  # A class and a check made beforehand, for examples that begin at the grid.
  def make_check(names: %w[Anneke Bram], times: %w[3:30 7:45 12:45], step: "quarters", task: "dial_to_words")
    made_at = Time.now.utc.iso8601
    school_class = @store.classes.add(name: "Curlew class", school: "Tern Quay School", names:, made_at:)
    @store.checks.add(class_id: school_class[:id], step:, task:, times:, made_at:)[:id]
  end

  def browser = page.driver.browser

  def cell(child, clock) = find("input[aria-label='#{child}, clock #{clock}']")

  def be_accessible = be_axe_clean.according_to(*AXE_TAGS)
end

Capybara.register_driver(:chrome) { |app| BrowserHelpers.driver(app) }
Capybara.default_driver = :chrome
Capybara.app = BrowserHelpers::School
Capybara.server = :puma, { Silent: true, Threads: "1:4" }
# Long, for machines that are busy: only what fails waits as long as this.
Capybara.default_max_wait_time = 20
Capybara.enable_aria_label = true

RSpec.configure do |config|
  config.before(type: :feature) { |example| open_school(demo: example.metadata[:demo]) }
  # What goes wrong in one example ends with it: the next begins with a browser of its own.
  config.after(type: :feature) do |example|
    page.quit if example.exception
    close_school
  end
end
