# frozen_string_literal: true

module Vantick
  module Server
    module Classes
      # Tokens by which other programs come in to a class: made, told once, and withdrawn.
      class Tokens < Handler
        def list_tokens = tokens

        def make_token
          id, token = store.access_tokens.make(params.class_id, teacher, body.name.strip, body.scope, now)
          { id:, token: }
        end

        def withdraw_token
          store.access_tokens.withdraw(params.class_id, params.token_id)
          tokens
        end

        private

        def tokens = { tokens: store.access_tokens.of_class(params.class_id) }
      end
    end
  end
end
