# frozen_string_literal: true

require "zeitwerk"

module Vantick
  # The rules of reading an analog clock: what a dial shows, how a time is said and written, what
  # a mistake tells, and which times to choose. Plain Ruby: no interface, no database, no clock.
  module Core
    VERSION = "0.6.0"

    LOADER = Zeitwerk::Loader.new.tap do |loader|
      loader.tag = "vantick-core"
      loader.push_dir("#{__dir__}/core", namespace: Core)
      loader.ignore("#{__dir__}/core/errors.rb")
      loader.setup
    end
  end
end

require_relative "core/errors"
