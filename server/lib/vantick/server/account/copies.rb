# frozen_string_literal: true

require "fileutils"

module Vantick
  module Server
    module Account
      # A copy of the school's file, to be kept somewhere else. It holds everybody's classes: only whoever made the school gets it.
      class Copies < Handler
        def export_copy
          keepers_only

          file(copy, "vantick-#{Date.jd(Store::SchoolDay.today).iso8601}.sqlite3").tap { store.school.copied(now) }
        rescue Store::Unusable
          refuse(503, "There is no room on the disk for a copy. Make room, then try again.", nil)
        end

        private

        # Beside the school's file, where there is room if anywhere.
        def copy
          file = Store::SafeCopy.in_folder(store.path, "taken-#{Process.pid}-#{Thread.current.object_id}.sqlite3")
          Store::SafeCopy.write(store.db, file)
          File.binread(file)
        ensure
          FileUtils.rm_f(file) if file
        end
      end
    end
  end
end
