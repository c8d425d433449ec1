# frozen_string_literal: true

# What whoever calls core can read before they do: each public method says of each of its parameters what it is.
RSpec.describe "The documentation of core" do
  lib = File.expand_path("../lib", __dir__)
  Vantick::Core::LOADER.eager_load

  # Those that everything in Ruby has, with what is handed to them.
  known = %i[== eql? <=> coerce initialize_copy method_missing respond_to_missing?]

  define_method(:modules) do |namespace|
    inner = namespace.constants(false).map { |name| namespace.const_get(name) }.grep(Module)
    inner.select { |one| one.to_s.start_with?("#{namespace}::") }.flat_map { |one| [one, *modules(one)] }
  end

  # @return [Array<Method, UnboundMethod>] written down in core, and not made by a struct
  define_method(:public_methods_of) do |one|
    found = one.public_instance_methods(false).map { |name| one.instance_method(name) }
    found += one.singleton_methods(false).map { |name| one.method(name) }
    # Of a struct its attributes say what it is made of.
    found << one.instance_method(:initialize) if one.private_instance_methods(false).include?(:initialize) && !(one < Struct)
    found.select { |method| method.source_location&.first&.start_with?(lib) }.reject { |method| known.include?(method.name) }
  end

  # The comment above a method, without what it is about.
  def comment(method)
    file, line = method.source_location
    above = File.readlines(file).first(line - 1).reverse.take_while { |text| text.strip.start_with?("#") }
    above.reverse.join
  end

  it "says of each parameter of each public method what it is" do
    methods = modules(Vantick::Core).uniq.flat_map { |one| public_methods_of(one) }
    expect(methods.length).to be > 700
    missing = methods.reject do |method|
      comment = comment(method)
      names = method.parameters.filter_map { |kind, name| name unless kind == :block } - %i[* ** &]
      names.all? { |name| comment.match?(/@param #{name}\b/) }
    end
    expect(missing.map { |method| "#{method.owner}##{method.name}, in line #{method.source_location.last}" }).to eq([])
  end
end
