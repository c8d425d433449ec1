# frozen_string_literal: true

require "net/http"
require "socket"

# Servers in processes of their own.
module Listening
  # Seconds after which a start counts as failed.
  LONGEST = 600

  def free_port = TCPServer.open("127.0.0.1", 0) { |free| free.addr[1] }

  # Waits until a server answers, however busy the machine is; what has ended by itself is not waited for.
  # @param pid [Integer]
  # @param log [String] what it says of itself
  def wait_for_server(pid, log)
    ends = Process.clock_gettime(Process::CLOCK_MONOTONIC) + LONGEST
    until ready?
      ended = Process.wait(pid, Process::WNOHANG)
      raise "did not start: #{File.read(log)}" if ended || Process.clock_gettime(Process::CLOCK_MONOTONIC) > ends

      sleep 0.1
    end
  end

  # What is said once it answers is written a moment later.
  # @return [String] what the log holds, once these words are in it
  def wait_for_words(words, log)
    ends = Process.clock_gettime(Process::CLOCK_MONOTONIC) + LONGEST
    sleep 0.05 until File.read(log).include?(words) || Process.clock_gettime(Process::CLOCK_MONOTONIC) > ends
    File.read(log)
  end

  # @return [Boolean] whether Vantick answers at the example's `port`
  def ready?
    Net::HTTP.get_response(URI("http://127.0.0.1:#{port}/api/health")).code == "200"
  rescue SystemCallError
    false
  end
end
