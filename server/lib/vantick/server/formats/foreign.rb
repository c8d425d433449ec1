# frozen_string_literal: true

module Vantick
  module Server
    module Formats
      # Lists, calendars and packages from outside, read in a locked room: whatever is in them holds up nobody.
      module Foreign
        PROGRAM = File.join(ROOT, "foreign.rb")
        # What is said where reading took too long or too much.
        WORDS = "This file took too long to read. Save it again where it comes from, or choose a smaller one."

        class << self
          # @param bytes [String]
          # @param options [Hash] as {Roster.read}
          # @return [Array<Roster::ListedClass>]
          # @raise [Core::Error]
          def roster(bytes, options = {})
            ask("roster", :file, bytes, JSON.generate(options)).map do |list|
              Roster::ListedClass.new(*list.values_at(:source_id, :title), list[:children].map { |child| Roster::Listed.new(*child) },
                                      *list.values_at(:commas, :table, :about, :left_out))
            end
          end

          # @param text [String] an iCalendar file
          # @param from [String] first day wanted
          # @param to [String] last day wanted
          # @return [Hash] as {DaysOff.read}
          # @raise [Core::Error]
          def days_off(text, from:, to:) = ask("days_off", :content, text, from, to)

          # @param bytes [String]
          # @return [QtiTimes::Found]
          # @raise [Core::Error]
          def qti(bytes)
            found = ask("qti", :file, bytes)
            QtiTimes::Found.new(found[:times].map { |time| Core::Dial::DialTime.parse(time) }, found[:words], found[:left_out])
          end

          # @param bytes [String]
          # @return [Array<ItemResponses::Response>]
          # @raise [Core::Error]
          def responses(bytes) = ask("responses", :file, bytes).map { |cells| ItemResponses::Response.new(*cells) }

          private

          def ask(kind, field, bytes, *more)
            output = Outside::LockedRoom.open(:lists) do |room|
              room.start_ruby(PROGRAM, kind, room.keep("file", bytes), *more)
              room.read
            end
            answer(output, field)
          rescue Outside::LockedRoom::TooMuch
            raise Core::Error.new(WORDS, field:)
          end

          def answer(output, field)
            found = JSON.parse(output, symbolize_names: true)
            refused = found[:refused] or return found[:found]
            raise Core::Error.new(refused[:message], field: refused[:field]&.to_sym || field)
          rescue JSON::ParserError
            raise Core::Error.new(WORDS, field:)
          end
        end
      end
    end
  end
end
