# frozen_string_literal: true

require "rspec/matchers"

# "All of them" said of nothing is no check: an example that looks at an empty list fails. Where a list may be empty, say so:
# `be_empty.or(all(...))`.
module AllOfSome
  def match(expected, actual)
    @nothing = actual.respond_to?(:first) && actual.first.nil? && actual.to_a.empty?
    !@nothing && super
  end

  def failure_message
    @nothing ? "expected to look at something, but the list is empty" : super
  end
end

RSpec::Matchers::BuiltIn::All.prepend(AllOfSome)
