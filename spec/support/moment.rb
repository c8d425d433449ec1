# frozen_string_literal: true

# The moment at which an example happens, the same for the server and for the browser, so that none depends on today. An example
# that needs a day of its own names it: `moment: "2026-11-29 13:00"`. VANTICK_MOMENT hands in another for all others (`bin/days`).
module Moment
  # A Wednesday in the middle of a school term.
  USUAL = "2026-03-11 09:30"

  # What the browser takes for now, from the next page on.
  SCRIPT = <<~JS
    (() => {
      const Machine = Date;
      window.Date = class extends Machine {
        constructor(...parts) { if (parts.length) super(...parts); else super(Machine.now() + %<ahead>d); }
        static now() { return Machine.now() + %<ahead>d; }
      };
    })();
  JS

  class << self
    # @param moment [String, nil]
    def begin(moment)
      Vantick::Server::Clock.set(Time.parse(moment || ENV.fetch("VANTICK_MOMENT", USUAL)))
      Capybara.send(:session_pool).each_value { |session| tell(session.driver.browser) }
    end

    def end = Vantick::Server::Clock.set(nil)

    # @param browser [Selenium::WebDriver::Driver]
    def tell(browser)
      @told ||= {}.compare_by_identity
      before = @told.delete(browser)
      browser.execute_cdp("Page.removeScriptToEvaluateOnNewDocument", identifier: before) if before
      ahead = (Vantick::Server::Clock.ahead * 1000).round
      @told[browser] = browser.execute_cdp("Page.addScriptToEvaluateOnNewDocument", source: format(SCRIPT, ahead:))["identifier"]
    end
  end
end

# What an example says of its moment.
module AtMoment
  # @return [String] the moment, as it is stored
  def now = Vantick::Server::Clock.iso8601

  # @return [Date] the school's day
  def today = Date.jd(Vantick::Server::Store::SchoolDay.today)
end

RSpec.configure { |config| config.include AtMoment, type: :feature }
