# frozen_string_literal: true

module Vantick
  module Server
    module Classes
      # Tokens by which other programs come in to a class: made, told once, and withdrawn.
      class Tokens < Resource
        get("/api/classes/:class_id/tokens") { answer_json(tokens) }

        post "/api/classes/:class_id/tokens" do
          id, token = store.access_tokens.make(input[:class_id], teacher, sent[:name].strip, sent[:scope], now)
          answer_json({ id:, token: }, code: 201)
        end

        delete "/api/classes/:class_id/tokens/:token_id" do
          store.access_tokens.withdraw(input[:class_id], input[:token_id])
          answer_json(tokens)
        end

        private

        def tokens = { tokens: store.access_tokens.of_class(input[:class_id]) }
      end
    end
  end
end
