# frozen_string_literal: true

source "https://rubygems.org"

ruby ">= 3.1", "< 3.4"

gem "zeitwerk", "~> 2.6"

group :server do
  gem "argon2", "~> 2.3"
  gem "base64", "~> 0.2"
  gem "dry-struct", "~> 1.6"
  gem "icalendar", "~> 2.10"
  gem "ice_cube", "~> 0.17"
  gem "json_schemer", "~> 2.5"
  gem "logger", "~> 1.6"
  gem "openapi_first", "~> 1.4.3"
  gem "prawn", "~> 2.4"
  gem "puma", "~> 6.4"
  gem "rack", "~> 3.0"
  gem "rack-attack", "~> 6.8"
  gem "roda", "~> 3.90"
  gem "rodauth", "~> 2.36"
  gem "rqrcode", "~> 2.2"
  gem "ruby-vips", "~> 2.2"
  gem "rubyzip", "~> 2.3", require: "zip"
  gem "sequel", "~> 5.80"
  gem "sinatra", "~> 4.0"
  gem "sin_lru_redux", "~> 2.5"
  gem "sqlite3", "~> 1.7.3"
  gem "ttfunk", "~> 1.8"
end

group :test do
  gem "axe-core-rspec", "~> 4.9"
  gem "capybara", "~> 3.40"
  gem "damerau-levenshtein", "~> 1.3"
  gem "pdf-reader", "~> 2.12"
  gem "rack-test", "~> 2.1"
  gem "rspec", "~> 3.13"
  gem "selenium-webdriver", "~> 4.20"
  gem "simplecov", "~> 0.22", require: false
  gem "test-queue", "~> 0.11", require: false
  gem "twitter_cldr", "~> 6.12"
end

group :style do
  gem "rubocop", "~> 1.60", require: false
  gem "rubocop-performance", require: false
  gem "rubocop-rspec", require: false
  gem "rubocop-sequel", require: false
end

# What Debian 12's Ruby 3.1 and its RubyGems keep back: openapi_first 2 wants Ruby 3.2; sqlite3 2 comes precompiled for RubyGems 3.3.22
# alone, and takes two minutes to compile at the first start; rubyzip 3 fits no selenium-webdriver that runs on Ruby 3.1.
#
# Ruby 3.1 brings these itself, or has them precompiled at these versions: a first install takes
# seconds instead of minutes. JSON 3 breaks request bodies in openapi_first.
gem "bigdecimal", "3.1.1"
gem "json", "2.6.1"
gem "nokogiri", "~> 1.17.2"
gem "racc", "1.6.0"
gem "rubocop-ast", "< 1.43"
