# frozen_string_literal: true

# Which methods of ours a file of specs calls: written to MUTANTS_COVER once it is done, by file the lines of each. Lines alone would not
# do: a method that stands on one line counts as run when it is defined. Loaded before all else, and for this process alone.
require "coverage"

# The lines of what was called.
module Called
  OURS = %w[core/lib server/lib cli/lib].freeze

  module_function

  # Of one package a module has a `hash` of its own, and Ruby asks each module for its hash.
  def result
    IceCube::TimeUtil.singleton_class.remove_method(:hash) if defined?(IceCube::TimeUtil)
    Coverage.result
  end

  def by_file(root)
    ours = result.select { |file, _| OURS.any? { |room| file.start_with?("#{root}/#{room}") } }
    found = ours.to_h { |file, told| [file.delete_prefix("#{root}/"), lines(told[:methods])] }
    found.reject { |_, lines| lines.empty? }
  end

  def lines(methods) = methods.select { |_, count| count.positive? }.map { |(_, _, first, _, last, _), _| [first, last] }
end

root, told = %w[MUTANTS_ROOT MUTANTS_COVER].map { |name| ENV.delete(name) }
here = Process.pid
Coverage.start(methods: true)
at_exit { File.binwrite(told, Marshal.dump(Called.by_file(root))) if Process.pid == here }
