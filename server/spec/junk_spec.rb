# frozen_string_literal: true

# Whatever comes in at whichever door of the contract: an answer, or a problem that says what to do; never a mistake of
# the server's own.
RSpec.describe "Every door of the API" do
  contract = YAML.safe_load_file(Vantick::Server::Api::Contract::FILE)
  junk = %w[0 -1 99999999999999999999 null 7:99 <b> %00 [] NaN] + ["", "'; drop table classes; --", "\u{1F552}", "a" * 5000]

  def address(path, value) = path.gsub(/\{[^}]+\}/) { URI.encode_www_form_component(value)[0, 300] }

  def body(schema, value, depth = 0)
    return value if schema.nil? || depth > 3

    names = schema["properties"]&.keys || %w[name]
    names.to_h { |name| [name, [value, [value], { name => value }, value.to_i].sample(random: Random.new(name.hash ^ value.hash))] }
  end

  before { make_check(make_class) }

  contract["paths"].each do |path, methods|
    methods.slice("get", "post", "put", "delete").each do |method, operation|
      it "#{method} #{path} takes junk without a mistake" do
        [*junk, "1"].each do |value|
          query = (operation["parameters"] || []).to_h { |parameter| [parameter["name"], value] }
          target = "#{address(path, value)}?#{URI.encode_www_form(query)}"
          schema = operation.dig("requestBody", "content", "application/json", "schema")
          schema = contract.dig("components", "schemas", "SheetSettings") if operation.dig("requestBody", "$ref")
          input = JSON.generate(body(schema, value))
          response = app.request(method.upcase, target, "CONTENT_TYPE" => "application/json", "HTTP_COOKIE" => cookie, input:)
          expect(response.status).to be < 500, "#{target.dump} #{input.dump}"
          expect(response["content-type"]).to eq("application/problem+json") if response.status >= 400
        end
      end
    end
  end
end
