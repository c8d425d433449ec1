# frozen_string_literal: true

module Vantick
  module Server
    module Http
      # What an operation answers, where that is more than the object of its one success: a text as it is, a status where the
      # contract has several, headers, a tag by which a browser sees that nothing changed.
      class Reply
        attr_reader :body, :status, :headers, :etag

        # @param body [Object]
        # @param status [Integer, nil]
        # @param headers [Hash{String => String}]
        # @param etag [String, nil]
        def initialize(body:, status: nil, headers: {}, etag: nil)
          @body = body
          @status = status
          @headers = headers
          @etag = etag
          freeze
        end
      end
    end
  end
end
