# frozen_string_literal: true

module Vantick
  module Server
    module Http
      # The one description of the API, that requests and responses are checked against.
      module Contract
        FILE = File.join(ROOT, "openapi.yaml")

        # The package makes an operation, and the schema of its body, anew at each request; here each is made once.
        module MadeOnce
          # Of a path.
          module Operations
            def operation(method) = (@made ||= {})[method] ||= super
          end

          def path_items = @path_items ||= super.each { |item| item.extend(Operations) }

          private

          def find_path_item_and_params(path)
            paths.key?(path) ? [path_items.find { |item| item.path == path }, {}] : super
          end
        end

        # @return [OpenapiFirst::Definition]
        def self.definition = @definition ||= OpenapiFirst.load(FILE).extend(MadeOnce)
      end
    end
  end
end
