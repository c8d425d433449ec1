# frozen_string_literal: true

# How thorough the specs are: bin/coverage, in the night, looks at everything (VANTICK_THOROUGH=1); bin/test at some of it, drawn by lot,
# so that it is other parts each time.
module Thorough
  module_function

  def on? = !ENV["VANTICK_THOROUGH"].nil?

  # @return [Object] the first in the night, else the second
  def of(everything, some) = on? ? everything : some

  # @return [Array] all of them in the night, else so many, drawn by the seed of the run
  def some(all, count) = on? ? all : all.sample(count, random: Random.new(RSpec.configuration.seed))
end

# What takes minutes and is looked at in the night alone.
RSpec.configure { |config| config.filter_run_excluding(:nightly) unless Thorough.on? }
