# frozen_string_literal: true

module Vantick
  module Core
    module Wording
      # Reads hands as they were set, written as two angles: `hour=232.5 minute=270`.
      module HandsReader
        ANGLE = /-?\d{1,4}(?:\.\d{1,6})?/
        WRITTEN = /\A\s*hour\s*=\s*(#{ANGLE})[\s,;]+minute\s*=\s*(#{ANGLE})\s*\z/i

        # @param text [String]
        # @return [Hands, nil] nothing where these are not two angles
        # @raise [AnswerTooLong]
        def self.read(text)
          raise AnswerTooLong.new(text.length, AnswerReader::LONGEST) if text.length > AnswerReader::LONGEST

          hour, minute = WRITTEN.match(text.scrub("?"))&.captures&.map(&:to_f)
          Dial::Hands.new(hour, minute) if hour
        end
      end
    end
  end
end
