# frozen_string_literal: true

require "fileutils"
require "json"
require "open3"
require "uri"

# What tests in the browser reach of the front end's scripts, by Chromium's own counts, mapped back to the sources.
module WebCoverage
  # Per cent of the lines of .ts files and of the scripts of .vue files.
  FLOOR = 85
  ROOT = File.expand_path("..", __dir__)
  FOLDER = File.join(ROOT, "coverage/web")
  WANTED = %r{\Ahttp://127\.0\.0\.1:\d+/(?:lab/)?assets/[^/]+\.js\z}
  SCRIPT = %r{<script setup lang="ts">\n(.*?)</script>}m

  module_function

  def on? = !ENV["VANTICK_COVERAGE"].nil?

  # From here on every script of this browser is counted, block by block.
  def begin(browser)
    browser.execute_cdp("Profiler.enable")
    browser.execute_cdp("Profiler.startPreciseCoverage", callCount: false, detailed: true)
  end

  # Keeps what a browser counted since the last time.
  def keep(browser)
    counted = browser.execute_cdp("Profiler.takePreciseCoverage")["result"].select { |script| script["url"].match?(WANTED) }
    return if counted.empty?

    FileUtils.mkdir_p(File.join(FOLDER, "raw"))
    File.write(File.join(FOLDER, "raw", "#{Process.pid}-#{@kept = @kept.to_i + 1}.json"), JSON.generate(counted))
  rescue Selenium::WebDriver::Error::WebDriverError
    nil # a browser that is gone counts no more
  end

  # @return [Float] per cent, of all of the front end's sources
  def lines
    told, status = Open3.capture2e("node", File.join(ROOT, "web/coverage.mjs"), File.join(FOLDER, "raw"), FOLDER)
    abort told unless status.success?
    found = JSON.parse(File.read(File.join(FOLDER, "coverage-final.json")))
    hits = sources.flat_map { |file| hits_of(file, found.find { |path, _| file.end_with?(path.sub(%r{\A.*?src/}, "src/")) }&.last) }
    100.0 * hits.count(&:positive?) / hits.length
  end

  def sources
    made = %w[schema.d.ts operations.ts index.ts variants.ts]
    Dir[File.join(ROOT, "web/src/**/*.{ts,vue}")].reject { |file| file.end_with?(*made) }
  end

  # By line of a script, how often it was reached: nothing of a file that no test loads.
  def hits_of(file, found)
    wanted = script_lines(file)
    return wanted.map { 0 } unless found

    by_line = found["statementMap"].each_with_object(Hash.new(0)) do |(id, place), hits|
      line = place["start"]["line"]
      hits[line] = [hits[line], found["s"][id]].max
    end
    by_line.slice(*wanted).values
  end

  def script_lines(file)
    text = File.read(file)
    return (1..text.lines.length).to_a unless file.end_with?(".vue")

    script = text.match(SCRIPT) or return []
    first = text[0...script.begin(1)].count("\n") + 1
    (first...(first + script[1].lines.length)).to_a
  end
end
