# frozen_string_literal: true

require "csv"
require "zip"

module Vantick
  module Server
    module Formats
      # A zip of small files, bounded before anything of it is unpacked.
      module Bundle
        # Bytes unpacked, and files, of those that are wanted (judgement: a whole school's roster is about a fifth of it, and a
        # package has a file for each question).
        MOST = 8_000_000
        FILES = 1_000
        SIGN = "PK"
        # What some computers put beside the files of a zip.
        BESIDE = %r{\A__MACOSX/|(?:\A|/)\._}
        # What is wrong with dates in a zip is nobody's trouble, and no line of the log.
        Zip.warn_invalid_date = false
        # What spreadsheets call Unicode text begins with one of these.
        WIDE = { "\xFF\xFE".b => Encoding::UTF_16LE, "\xFE\xFF".b => Encoding::UTF_16BE }.freeze
        # So many bytes show whether every other one is empty.
        PEEK = 400
        MOMENT = Zip::DOSTime.local(2000, 1, 1)

        class << self
          # @param files [Hash{String => String}] by name
          # @return [String] the bytes, the same for the same files
          def write(files)
            Zip::OutputStream.write_buffer do |zip|
              files.each do |name, text|
                zip.put_next_entry(Zip::Entry.new("", name, time: MOMENT))
                zip.write(text)
              end
            end.string
          end

          # @param bytes [String]
          # @param folders [Boolean] whether names keep their folders: two files may be called alike
          # @param only [Regexp] names of the files that are wanted
          # @return [Hash{String => String}] by name
          # @raise [Core::Error]
          def read(bytes, folders: false, only: //)
            entries = Zip::File.open_buffer(StringIO.new(bytes)).select { |entry| wanted?(entry, only) }
            refuse("The file is far larger than a school's lists.") if entries.sum(&:size) > MOST || entries.length > FILES
            left = MOST
            entries.to_h do |entry|
              text = unpack(entry, left)
              left -= text.bytesize
              [folders ? entry.name : File.basename(entry.name), text]
            end
          rescue Core::Error
            raise
          rescue StandardError
            # The package that opens zips stumbles over damaged ones in many ways.
            refuse("The zip file can't be opened. Save it again where it comes from.")
          end

          # @return [Boolean]
          def zip?(bytes) = bytes.b.start_with?(SIGN)

          # Text as programs write it: with a mark at its beginning or without, in UTF-8, in UTF-16, or in Windows' letters.
          # @param bytes [String]
          # @return [String]
          def text(bytes)
            wide = wide(bytes.b) and return wide_text(bytes, wide)
            text = bytes.dup.force_encoding(Encoding::UTF_8).delete_prefix("\uFEFF")
            text.valid_encoding? ? text : bytes.dup.force_encoding(Encoding::WINDOWS_1252).encode(Encoding::UTF_8, undef: :replace)
          end

          private

          def wanted?(entry, only) = entry.file? && !entry.name.match?(BESIDE) && entry.name.match?(only)

          # UTF-16 by its mark, or because every other byte is empty, as in no other text.
          def wide(bytes)
            marked = WIDE.find { |mark, _| bytes.start_with?(mark) } and return marked.last
            empty = [1, 0].map { |from| (from...[bytes.bytesize, PEEK].min).step(2).count { |at| bytes.getbyte(at).zero? } }
            at = empty.index { |many| many * 4 > [bytes.bytesize, PEEK].min } and WIDE.values[at]
          end

          def wide_text(bytes, wide)
            whole = bytes.b.byteslice(0, bytes.bytesize / 2 * 2).force_encoding(wide)
            whole.encode(Encoding::UTF_8, invalid: :replace, undef: :replace).delete_prefix("\uFEFF")
          end

          # What a file says of its size is not believed: all of them together have so much room.
          def unpack(entry, left)
            found = entry.get_input_stream { |stream| stream.read(left + 1) }.to_s
            found.bytesize > left ? refuse("The file is far larger than a school's lists.") : found
          end

          def refuse(words) = raise(Core::Error.new(words, field: :file))
        end
      end
    end
  end
end
