# frozen_string_literal: true

require "csv"
require "nokogiri"

module Vantick
  module Server
    module Formats
      # What children answered in another program: QTI result reports (1EdTech; from memory), one or a zip of many, or a table with a line
      # for each answer.
      class ItemResponses
        # An answer as it came: who gave it, to which item, and where it stands in the file.
        Response = Struct.new(:child, :item, :value, :place)
        # What a column may be called, by what is in it.
        COLUMNS = {
          child: ["child", "student", "name", "candidate", "learner", "pupil", "user", "username", "first name", "sourcedid",
                  "student name", "student id", "candidate id", "candidate name", "user id", "user name"],
          item: ["item", "question", "clock", "item id", "item identifier", "itemidentifier", "identifier", "question id", "item name",
                 "question title", "item title"],
          value: ["response", "answer", "given answer", "candidate response", "response value", "candidateresponse", "value"]
        }.freeze
        REPORTS = "//*[local-name()='assessmentResult']"
        ITEMS = "./*[local-name()='itemResult']"
        VARIABLES = "./*[local-name()='responseVariable']"
        VALUES = "./*[local-name()='candidateResponse']/*[local-name()='value']"
        # What a program answers by itself: how many tries there were, and how long they took.
        OF_PROGRAM = %w[numAttempts duration completionStatus].freeze
        FILES = /\.(xml|csv|txt)\z/i
        NONE = "There are no answers in this file. It needs QTI result reports, or a table with a child, a question and an answer " \
               "in each row."

        class << self
          # @param bytes [String]
          # @return [Array<Response>] those of one report in the order in which they were given, as far as that is said
          # @raise [Core::Error]
          def read(bytes)
            files = Bundle.zip?(bytes) ? Bundle.read(bytes, folders: true, only: FILES) : { "" => bytes }
            found = files.sort.flat_map { |name, text| in_file(name, text) }
            raise Core::Error.new(NONE, field: :file) if found.empty?

            found
          end

          private

          def in_file(name, bytes)
            text = Bundle.text(bytes)
            text.lstrip.start_with?("<") ? in_reports(name, text) : in_table(name, text)
          end

          def in_reports(name, text)
            document = Nokogiri::XML(text, &:nonet)
            document.xpath(REPORTS).flat_map do |report|
              child = report.at_xpath("./*[local-name()='context']/@sourcedId")&.value.to_s
              first_tries(report).filter_map { |item| in_report(item, child, place(name, item["identifier"])) }
            end
          end

          # In the order in which they were given, where that is said.
          def first_tries(report)
            items = report.xpath(ITEMS)
            items.each_with_index.sort_by { |item, at| [item["datestamp"].to_s, at] }.map(&:first)
          end

          def in_report(item, child, place)
            variable = item.xpath(VARIABLES).find { |candidate| !OF_PROGRAM.include?(candidate["identifier"]) } or return
            values = variable.xpath(VALUES).map { |value| value.text.strip }
            Response.new(child, item["identifier"].to_s, values.first.to_s, place) if values.length < 2
          end

          def place(name, inner) = [name, inner].reject { |part| part.to_s.empty? }.join(", ")

          def in_table(name, text)
            separator = ["\t", ";", ","].max_by { |sign| text.lines.first.to_s.count(sign) }
            rows = CSV.parse(text, col_sep: separator, liberal_parsing: true).each.with_index(1).to_a
            columns = columns(rows.first&.first.to_a) or return []
            rows.drop(1).filter_map { |row, number| in_row(row, columns, place(name, "row #{number}")) }
          rescue CSV::MalformedCSVError => e
            raise Core::Error.new("The table can't be read near line #{e.line_number}. Check its quotation marks.", field: :file)
          end

          def in_row(row, columns, place)
            cells = columns.transform_values { |at| row[at].to_s.strip }
            Response.new(*cells.values_at(:child, :item, :value), place) unless cells.values.all?(&:empty?)
          end

          # @return [Hash{Symbol => Integer}, nil] where all three are; the better known name counts
          def columns(head)
            names = head.map { |cell| cell.to_s.strip.downcase.tr("_", " ") }
            found = COLUMNS.transform_values { |known| known.filter_map { |name| names.index(name) }.first }
            found if found.values.all?
          end
        end
      end
    end
  end
end
