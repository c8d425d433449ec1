# frozen_string_literal: true

require "net/http"
require "socket"

# Servers in processes of their own.
module Listening
  def free_port = TCPServer.open("127.0.0.1", 0) { |free| free.addr[1] }

  # @return [Boolean] whether Vantick answers at the example's `port`
  def ready?
    Net::HTTP.get_response(URI("http://127.0.0.1:#{port}/api/health")).code == "200"
  rescue SystemCallError
    false
  end
end
