# frozen_string_literal: true

# Loaded into programs that tests start, by RUBYOPT: what they reach is written when they end. Without any package, as none is
# found yet when it is loaded. Counting begins where the first of our own modules does, so that nothing is counted in packages.
require "coverage"

TracePoint.new(:class) do |point|
  next unless point.self.name == "Vantick"

  point.disable
  Coverage.start(lines: true, branches: true)
end.enable

at_exit do
  # Tests of tests measure by themselves.
  next unless Coverage.running?

  root = File.expand_path("..", __dir__)
  ours = Coverage.result.select { |file, _| file.match?(%r{\A#{root}/(core|server|cli)/lib/}) }
  unless ours.empty?
    require "fileutils"
    require "json"
    folder = File.join(root, "coverage", "child-#{Process.pid}-#{rand(1 << 30)}")
    FileUtils.mkdir_p(folder)
    branches = ->(all) { all.to_h { |condition, some| [condition.to_s, some.transform_keys(&:to_s)] } }
    coverage = ours.transform_values { |found| { lines: found[:lines], branches: branches.call(found[:branches]) } }
    File.write(File.join(folder, ".resultset.json"), JSON.generate({ child: { coverage:, timestamp: Time.now.to_i } }))
  end
end
