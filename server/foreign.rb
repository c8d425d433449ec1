# frozen_string_literal: true

# Reads a file from outside in a process of its own, and says what is in it as JSON:
#   ruby foreign.rb roster|days_off|qti|responses FILE [SAID, as JSON | FROM TO]
# It answers `found`, or `refused` with the words for whoever sent the file.
require "json"
require "zeitwerk"

$LOAD_PATH.unshift(File.expand_path("../core/lib", __dir__))
require "vantick/core"

module Vantick
  module Server
    # Of the server the formats alone.
    module Formats; end
  end
end
Zeitwerk::Loader.new.tap do |loader|
  loader.push_dir(File.join(__dir__, "lib/vantick/server/formats"), namespace: Vantick::Server::Formats)
  loader.setup
end

# What each kind of file is read by.
READERS = {
  "roster" => lambda do |bytes, said|
    classes = Vantick::Server::Formats::Roster.read(bytes, JSON.parse(said, symbolize_names: true))
    classes.map { |one| { **one.to_h, children: one.children.map(&:to_a) } }
  end,
  "days_off" => ->(bytes, from, to) { Vantick::Server::Formats::DaysOff.read(bytes.force_encoding(Encoding::UTF_8), from:, to:) },
  "qti" => lambda do |bytes|
    found = Vantick::Server::Formats::QtiTimes.read(bytes)
    { times: found.times.map(&:to_s), words: found.words, left_out: found.left_out }
  end,
  "responses" => ->(bytes) { Vantick::Server::Formats::ItemResponses.read(bytes).map(&:to_a) }
}.freeze

kind, file, *more = ARGV
begin
  puts JSON.generate({ found: READERS.fetch(kind).call(File.binread(file), *more) })
rescue Vantick::Core::Error => e
  puts JSON.generate({ refused: { message: e.message, field: e.field } })
rescue StandardError
  # Whatever else is wrong with it: what is in the file is nobody's to see in a log.
  puts JSON.generate({ refused: { message: "This file is damaged: save it once more where it comes from.", field: nil } })
end
