# frozen_string_literal: true

require "selenium-webdriver"
require_relative "../serving"
require_relative "desk_load"

module Bench
  # What a teacher waits for who opens Home on a server that has just started, in a browser that knows nothing of Vantick yet.
  class HomeFirstLoad < Family
    include Serving

    CHROMIUM = %w[--headless=new --no-sandbox --disable-gpu --disable-quic --no-first-run --disable-background-networking
                  --disable-component-update --disable-sync].freeze
    # Notes when what is looked for came to stand on the page, in milliseconds from the start of the request.
    WATCH = <<~JS
      new MutationObserver((_, watcher) => {
        if (!document.querySelector("%<content>s")) return;
        window.shownAt = performance.now();
        watcher.disconnect();
      }).observe(document, { subtree: true, childList: true });
    JS
    SHOWN = "const done = arguments[0]; (function look() { window.shownAt ? done(window.shownAt) : setTimeout(look, 20); })();"
    # Of the window that stands there when a page has all of its parts.
    SENT = "return performance.getEntriesByType('resource').reduce((sum, one) => sum + one.encodedBodySize, 0)"

    def home_first_load
      DeskFirstLoad.instance.built("bin/build", folder: HERE)
      pairs = Array.new(Sizes[:turns]) { [home, empty] }
      times, bytes = %i[first last].map { |part| pairs.map { |pair| pair.map(&part) } }
      Taken.new(least(times.map(&:first)) / least(times.map(&:last)),
                { "home, ms" => least(times.map(&:first)), "empty page, ms" => least(times.map(&:last)),
                  "home, bytes" => bytes[0][0], "empty page, bytes" => bytes[0][1] })
    end

    def least(some) = some.min.to_f

    # A class that has no answers yet: what Home says first.
    def home
      with_school do |port|
        teacher = teacher_at(port)
        teacher.post("/api/classes", { name: "Class", children: Array.new(Sizes[:class_of]) { |number| "C#{number}" } })
        load_of("http://127.0.0.1:#{port}", "main h1", signed_in: true)
      end
    end

    def empty
      Dir.mktmpdir do |folder|
        DeskFirstLoad.instance.empty_page(folder)
        port = free_port
        server = Running.new(port, {}, *ruby_as_started, File.join(HERE, "bench/page_server.rb"), folder, port.to_s)
        load_of("http://127.0.0.1:#{port}/same_packages.html", "main h1")
      ensure
        server&.stop
      end
    end

    # @return [Array(Float, Integer)] milliseconds until it is shown, and bytes sent by then
    def load_of(address, content, signed_in: false)
      Dir.mktmpdir do |profile|
        driver = chromium(profile)
        sign_in(driver, address) if signed_in
        driver.execute_cdp("Page.addScriptToEvaluateOnNewDocument", source: format(WATCH, content:))
        driver.get(address)
        [driver.execute_async_script(SHOWN), driver.execute_script(SENT)]
      ensure
        driver&.quit
      end
    end

    def chromium(profile)
      options = Selenium::WebDriver::Chrome::Options.new(args: [*CHROMIUM, "--user-data-dir=#{profile}"])
      service = Selenium::WebDriver::Service.chrome(path: "/usr/bin/chromedriver")
      Selenium::WebDriver.for(:chrome, options:, service:).tap { |driver| driver.manage.timeouts.script = Sizes[:patience] }
    end

    # Signing in loads no page.
    def sign_in(driver, address)
      driver.get("#{address}/favicon.svg")
      me = JSON.generate(name: "Bench", password: PASSWORD)
      driver.execute_async_script(<<~JS, me)
        const [me, done] = arguments, headers = { "content-type": "application/json" };
        fetch("/api/session/login", { method: "POST", headers, body: me }).then(done);
      JS
    end

    measure(:home_first_load, "time until Home says something, over an empty page of the same packages", "<= 1.5") do |_seed|
      home_first_load
    end
  end
end
