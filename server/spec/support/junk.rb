# frozen_string_literal: true

# Things that nobody should send, by where they could stand.
module Junk
  TEXTS = ["", " ", "null",
           "<b>", "'; drop table classes; --", "\u{1F552}", "e\u0301" * 20, "\u202E7:45", "a\u0000b.pdf", "a" * 5000, "7:99", "-1", "%00",
           "\t=1+1", "0"].freeze
  WHOLES = [0, -1, 1, 12.5, 2**31, 2**53, (2**53) + 2, -(2**63), 10**19].freeze
  NOTHING = [nil, true, [], {}, [[]], { "a" => { "b" => [] } }].freeze
  BODIES = ["", "null",
            "[", "{}", "[1]", '"x"', "1e400", '{"a":1e400}', '{"a":"\ud800"}', "{\"a\":\"\xFF\"}".b, "[" * 3000,
            "{\"a\":#{'9' * 400}}", '{"name":"x"}'.encode("UTF-16LE").b, "\uFEFF{}".encode("UTF-16BE").b,
            "\xEF\xBB\xBF{}".b, '{"a":NaN}', "x" * 70_000].freeze
  QUERIES = ["%", "a=%", "a=1&a[b]=2", "a[b]=1&a=2", "a#{'[b]' * 150}=1", "%ff=1", "a=%00", "limit=1&limit=2", "limit[]=1", "&&&=",
             "a" * 3000, "conventions[]=x", "step=%E2%28%A1", "a=\xFF".b, "\xE2\x28".b].freeze
  PATHS = ["%2F", "a%2Fb", "%00", "%ff", "%", "..", "%2e%2e%2f", "1.0", "01", "1%20", "0", "-1", "9" * 30, "\u{1F552}", "a" * 400, "1;2",
           "{class_id}", "\xFF".b, "a\xE2\x28".b].freeze
  HEADERS = {
    "HTTP_HOST" => ["a b", "", "[::1", "x" * 3000], "HTTP_REFERER" => ["::", "http://elsewhere.example"],
    "HTTP_ORIGIN" => ["null", "http://a b"], "HTTP_COOKIE" => ["vantick.session=%ff; vantick.desk=\xFF", "=;;="],
    "HTTP_ACCEPT_ENCODING" => ["identity;q=0", "\xFF"], "HTTP_IF_NONE_MATCH" => ["\"\xFF"], "HTTP_ACCEPT" => ["text/html;q=x"],
    "CONTENT_TYPE" => ["multipart/form-data; boundary=x", "application/json; charset=utf-7", "\xFF"], "HTTP_RANGE" => ["bytes=5-1"],
    "HTTP_X_FORWARDED_FOR" => ["\xFF"], "HTTP_X_FORWARDED_HOST" => ["a b"], "HTTP_X_HTTP_METHOD_OVERRIDE" => ["DELETE"],
    "HTTP_TRANSFER_ENCODING" => ["x"], "REMOTE_ADDR" => [""], "SCRIPT_NAME" => ["/x"]
  }.flat_map { |name, values| values.map { |value| { name => value } } }.freeze
  METHODS = %w[GET HEAD POST PUT PATCH DELETE OPTIONS TRACE PROPFIND get X].freeze
  VALUES = [*TEXTS, *WHOLES, *NOTHING].freeze
end
