# frozen_string_literal: true

module Vantick
  module Server
    module Store
      # A school's file that Vantick cannot work with. The message says what to do, to whoever starts Vantick.
      class Unusable < StandardError
        WORDS = {
          corrupt: "%<path>s is damaged, or no file of Vantick's. Put the last copy in its place: bin/vantick restore COPY " \
                   "(the copies of the last days lie in %<copies>s).",
          newer: "%<path>s was written by a newer Vantick than this one. Start the newer one, or put an older copy in its place: " \
                 "bin/vantick restore COPY.",
          foreign: "%<path>s is a database of another program. Move it away, or name another file in VANTICK_DB.",
          half_made: "%<path>s was left half made when an older Vantick was stopped while it began. If nothing was entered yet, move " \
                     "it away and start again; otherwise put the last copy in its place: bin/vantick restore COPY.",
          unwritable: "Vantick may not write to %<path>s. See who owns the file and its folder, and whether the disk is there.",
          full: "The disk is full: make room for %<path>s, then start again.",
          busy: "%<path>s is held by another program. Close that one, then start again."
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
