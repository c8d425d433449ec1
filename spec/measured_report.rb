# frozen_string_literal: true

require "json"
require "simplecov"

SimpleCov.enable_coverage :branch
require_relative "measured"
require_relative "measured_web"

# Tells what the tests reached, and holds the floors.
class CoverageReport
  # Per cent of lines and branches that a room's own specs reach, whatever else reaches them.
  FLOORS = { "core" => { lines: 98, branches: 95 }, "server" => { lines: 96, branches: 88 } }.freeze

  # @param room [String]
  # @return [Hash{Symbol => Float}] per cent
  def ruby(room)
    files = reached(room).values
    { lines: share(files.flat_map { |file| file["lines"].compact }),
      branches: share(files.flat_map { |file| file.fetch("branches", nil).to_h.values.flat_map(&:values) }) }
  end

  # @return [Boolean] whether everything is reached that has to be
  def exit_status
    rows = FLOORS.flat_map { |room, floors| ruby(room).map { |what, share| [room, what, share, floors.fetch(what)] } }
    rows << ["web", :lines, WebCoverage.lines, WebCoverage::FLOOR]
    rows.each do |room, what, share, floor|
      puts format("%-7<room>s %-9<what>s %6.2<share>f per cent, at least %<floor>d%<low>s", room:, what:, share:, floor:,
                                                                                             low: share < floor ? ": too few" : "")
    end
    rows.all? { |_, _, share, floor| share >= floor }
  end

  private

  # By file, added up over the parts that a room's specs were run in.
  def reached(room)
    file = File.join(Measured::FOLDER, room, ".resultset.json")
    abort "Nothing is counted yet: run bin/test." unless File.exist?(file)
    parts = JSON.parse(File.read(file)).values.map { |result| result["coverage"] }
    SimpleCov::Combine::ResultsCombiner.combine(*parts).select { |path, _| path.include?("/#{room}/lib/") }
  end

  def share(hits) = hits.empty? ? 0.0 : 100.0 * hits.count(&:positive?) / hits.length
end

exit(CoverageReport.new.exit_status) if $PROGRAM_NAME == __FILE__
