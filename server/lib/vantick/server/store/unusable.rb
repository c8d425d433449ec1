# frozen_string_literal: true

module Vantick
  module Server
    module Store
      # A school's file that Vantick cannot work with. The message says what to do, to whoever starts Vantick.
      class Unusable < StandardError
        WORDS = {
          corrupt: "%<path>s is damaged, or not a Vantick file. Restore the last copy: bin/vantick restore COPY " \
                   "(copies are in %<copies>s).",
          newer: "%<path>s was written by a newer Vantick. Start the newer one, or restore an older copy: " \
                 "bin/vantick restore COPY.",
          foreign: "%<path>s is a database of another program. Move it away, or name another file in VANTICK_DB.",
          half_made: "%<path>s was left unfinished when an older Vantick was stopped. If nothing was entered yet, move " \
                     "it away and start again. Otherwise restore the last copy: bin/vantick restore COPY.",
          unwritable: "Vantick can't write to %<path>s. Check who owns the file and folder, and that the disk is there.",
          full: "The disk is full. Make room for %<path>s, then start again.",
          busy: "%<path>s is in use by another program. Close it, then start again."
        }.freeze

        # @return [Symbol] a key of {WORDS}
        attr_reader :why

        # @param why [Symbol]
        # @param path [String]
        def initialize(why, path)
          @why = why
          super(format(WORDS.fetch(why), path:, copies: File.join(File.dirname(path), "copies")))
        end
      end
    end
  end
end
