# frozen_string_literal: true

require "rack/mock"
require "rspec/expectations"
require "axe-rspec"
require "capybara/rspec"
require "selenium-webdriver"
require_relative "moment"

# A real browser without a monitor, on a school of its own for each example.
module BrowserHelpers
  CHROME = %w[--headless=new --no-sandbox --disable-gpu --disable-quic --no-first-run --disable-background-networking
              --disable-component-update --disable-sync --disable-dev-shm-usage
              --disable-renderer-backgrounding --disable-backgrounding-occluded-windows --disable-background-timer-throttling].freeze
  # One process draws all pages of ours; none is begun ahead or kept for going back: that was a sixth of what a journey cost. Where
  # scripts are counted, one that never ends would count those of all pages before.
  ONE_PROCESS = %w[--disable-site-isolation-trials --renderer-process-limit=1
                   --disable-features=BackForwardCache,SpareRendererForSitePerProcess].freeze
  AXE_TAGS = %i[wcag2a wcag2aa wcag21a wcag21aa wcag22aa].freeze

  # The school behind the pages. Capybara serves one application; it asks here for the one of the example.
  class School
    class << self
      attr_accessor :app

      LAB = Rack::Files.new(File.join(ROOT, "web/dist-lab"))

      # The page on which tests ask the front end's parts is served beside it; no school has it.
      def call(env)
        return app&.call(env) || [404, {}, []] unless env["PATH_INFO"].start_with?("/lab/")

        LAB.call({ **env, "PATH_INFO" => env["PATH_INFO"].delete_prefix("/lab").sub(%r{/\z}, "/index.html") })
      end
    end
  end

  # Chromium without what only a monitor needs works a sixth less; where Debian has none, Chromium itself.
  # Its window is as large as its page; Chromium's own has a bar of 143 points.
  BINARY, WINDOW = if system("command -v chromium-headless-shell >/dev/null")
                     [File.join(__dir__, "headless"), "1280,800"]
                   else
                     ["/usr/bin/chromium", "1280,943"]
                   end

  def self.driver(app)
    args = CHROME + (WebCoverage.on? ? [] : ONE_PROCESS) + ["--window-size=#{WINDOW}", "--user-data-dir=#{Dir.mktmpdir('chrome')}"]
    options = Selenium::WebDriver::Chrome::Options.new(binary: BINARY, args:)
    service = Selenium::WebDriver::Service.chrome(path: "/usr/bin/chromedriver")
    driver = Capybara::Selenium::Driver.new(app, browser: :chrome, options:, service:)
    # What a page saves or prints goes into a folder of its own, and not to where the tests are run.
    driver.browser.execute_cdp("Browser.setDownloadBehavior", behavior: "allow", downloadPath: Dir.mktmpdir("downloads"))
    # Each window has the keys, whichever another browser or session left in front.
    driver.browser.execute_cdp("Emulation.setFocusEmulationEnabled", enabled: true)
    WebCoverage.begin(driver.browser) if WebCoverage.on?
    Moment.tell(driver.browser)
    driver
  end

  # @return [Vantick::Server::Store::Database] of the example's school
  attr_reader :store

  # A page shows what was worked out; how well that is done is for core's own specs, and takes a tenth of the runs here.
  FORECAST = Vantick::Core::Term::Forecast::ROW.then { |row| row.merge(runs: row[:runs] / 10).freeze }

  TEACHER = Vantick::Demo::TABLE[:teacher].transform_values(&:to_s).freeze

  # Schools are made once a day and copied for each example: with the demo's class, with a teacher alone, with nobody.
  def self.school(kind)
    (@schools ||= {})[[kind,
                       Vantick::Server::Store::SchoolDay.today]] ||= File.join(Dir.mktmpdir("school"), "#{kind}.sqlite3").tap do |file|
                                                                       store = Vantick::Server::Store::Database.open(file)
                                                                       demo = Vantick::Demo.new(store, now: Vantick::Server::Clock.now)
                                                                       demo.seed if kind == :demo
                                                                       demo.hire unless kind == :empty
                                                                       store.db.run("PRAGMA wal_checkpoint(TRUNCATE)")
                                                                       store.close
                                                                     end
  end

  def open_school(kind)
    @folder = Dir.mktmpdir("school")
    file = File.join(@folder, "school.sqlite3")
    FileUtils.cp(BrowserHelpers.school(kind), file)
    @store = Vantick::Server::Store::Database.open(file)
    School.app = Vantick::Server.app(store: @store)
  end

  # What a page shows where an example failed: a page that stays empty says nothing by itself.
  def seen_at_the_end
    "#{page.current_url} shows: #{page.text[0, 300].inspect}"
  rescue StandardError => e
    "The page can't be seen: #{e.class}"
  end

  # Signs the teacher in, past the page for it.
  def sign_in
    name, value = teacher_cookie.split("=", 2)
    page.server.boot
    browser.execute_cdp("Network.setCookie", name:, value:, url: page.server.base_url, httpOnly: true, sameSite: "Strict")
  end

  def teacher_cookie = @teacher_cookie ||= told("/api/session/login", TEACHER, "")["set-cookie"].split(";").first

  # What a teacher's page would send.
  # @return [Hash] the answer
  def ask_as_teacher(path, body) = JSON.parse(told(path, body, teacher_cookie).body)

  def told(path, body, cookie)
    Rack::MockRequest.new(School.app).post(path, "CONTENT_TYPE" => "application/json", "HTTP_COOKIE" => cookie, input: JSON.generate(body))
  end

  # At the end of an example: Chromium counts on through the pages of one.
  def self.keep_counts
    Capybara.send(:session_pool).each_value { |session| WebCoverage.keep(session.driver.browser) } if WebCoverage.on?
  end

  def close_school
    BrowserHelpers.keep_counts
    Capybara.reset_sessions!
    @store.close
    FileUtils.rm_rf(@folder)
  end

  # A class and a check made beforehand, for examples that begin at the grid.
  def make_check(names: %w[Anneke Bram], times: %w[3:30 7:45 12:45], step: "quarters", task: "dial_to_words")
    made_at = now
    account_id = @store.db[:accounts].get(:id)
    school_class = @store.classes.add(name: "Curlew class", school: "Tern Quay School", names:, made_at:, account_id:)
    @store.checks.add(class_id: school_class[:id], step:, task:, times:, made_at:)[:id]
  end

  def browser = page.driver.browser

  def cell(child, clock) = find("input[aria-label='#{child}, clock #{clock}']")

  TYPED_AND_PRESSED = <<~JS
    const [field, button, text, done] = arguments;
    field.value = text;
    field.dispatchEvent(new Event("input", { bubbles: true }));
    setTimeout(() => (button.click(), done()));
  JS

  # Types and presses before the page can do anything that waits for a pause in typing, however slow the machine is.
  def type_and_press(label, text, button)
    page.evaluate_async_script(TYPED_AND_PRESSED, find_field(label), find_button(button, disabled: :all), text)
  end

  # No page of ours frames another: axe asks the page itself, without a window of its own for what it found.
  Axe::Configuration.instance.legacy_mode = true

  # Axe sees what people see: what changes its colour has come to rest first.
  module AtRest
    CHANGES = "document.getAnimations().some((one) => one.playState === 'running' && /color|opacity|fill/.test(one.transitionProperty))"

    def matches?(page)
      page.document.synchronize { raise Capybara::ExpectationNotMet, "colours still change" if page.evaluate_script(CHANGES) }
      super
    end
  end

  def be_accessible = be_axe_clean.according_to(*AXE_TAGS).extend(AtRest)
end

Capybara.register_driver(:chrome) { |app| BrowserHelpers.driver(app) }
Capybara.default_driver = :chrome
Capybara.app = BrowserHelpers::School
Capybara.server = :puma, { Silent: true, Threads: "1:4" }
# Long, for machines that are busy: only what fails waits as long as this. Axe took two seconds for granted, and what it is asked while it
# still works it answers with nothing.
Capybara.default_max_wait_time = 90
WebDriverScriptAdapter.max_wait_time = 300
# Asking again costs more of the machine than what is asked for.
Capybara.default_retry_interval = 0.05
Capybara.enable_aria_label = true

RSpec.configure do |config|
  config.before(type: :feature) do |example|
    Moment.begin(example.metadata[:moment])
    stub_const("Vantick::Core::Term::Forecast::ROW", BrowserHelpers::FORECAST)
    open_school(%i[demo empty].find { |kind| example.metadata[kind] } || :new)
    sign_in unless example.metadata[:empty] || example.metadata[:stranger]
  end
  # What goes wrong in one example ends with it: the next begins with a browser of its own.
  config.after(type: :feature) do |example|
    if example.exception
      warn seen_at_the_end
      page.quit
    end
    close_school
    Moment.end
  end
end
