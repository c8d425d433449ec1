# frozen_string_literal: true

module Vantick
  module Server
    module Classes
      # What was removed from a class, and the way back.
      class Removals < Handler
        def list_removed
          store.classes.plain(params.class_id)
          { removed: store.removed.all(params.class_id) }
        end

        def restore_removed = store.removed.bring_back(params.removed_id)
      end
    end
  end
end
