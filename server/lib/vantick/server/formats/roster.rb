# frozen_string_literal: true

require "csv"

module Vantick
  module Server
    module Formats
      # Classes and children as other programs list them: a OneRoster bundle, a table, or names one under the other.
      class Roster
        # A child as a list has it.
        Listed = Struct.new(:source_id, :given, :family)
        # A class as a list has it; of a plain list there is one, without a name, and what its commas were taken for where that is
        # not certain.
        ListedClass = Struct.new(:source_id, :title, :children, :commas)
        GONE = %w[tobedeleted inactive].freeze
        # What a table may call its columns, in lower letters and without what is no letter (common practice, no source).
        GIVEN = %w[givenname firstname first forename name child student pupil vorname].freeze
        FAMILY = %w[familyname lastname last surname nachname].freeze
        # What parts cells; where several stand in a list without names of columns, the first of these.
        SIGNS = ["\t", ";", ","].freeze
        IDS = %w[sourcedid id identifier studentid pupilid].freeze

        # @param bytes [String]
        # @param commas [String, nil] what the commas of a plain list mean, where a teacher said so: {Core::Wording::NameList::COMMAS}
        # @return [Array<ListedClass>]
        # @raise [Core::Error] naming file and line
        def self.read(bytes, commas = nil)
          classes = Bundle.zip?(bytes) ? new(Bundle.read(bytes)).classes : [plain(Bundle.text(bytes), commas)]
          raise Core::Error.new("This file has no children.", field: :file) if classes.sum { |one| one.children.length }.zero?

          classes
        end

        # A table with a line of names over it, or names alone.
        # @param text [String]
        # @param commas [String, nil] as {read}
        # @return [ListedClass]
        # @raise [Core::Error] naming the line
        def self.plain(text, commas = nil)
          lines = text.gsub(/\r\n?/, "\n")
          table = PlainRows.new(rows(lines, SIGNS.max_by.with_index { |sign, place| [lines.lines.first.to_s.count(sign), -place] }))
          return ListedClass.new(nil, nil, table.children) if table.named?

          list = Core::Wording::NameList.new(rows(lines, SIGNS.find { |sign| lines.include?(sign) } || ","), commas: commas&.to_sym)
          ListedClass.new(nil, nil, list.children.map { |one| Listed.new(nil, one.given, one.family) }, list.commas)
        end

        def self.rows(lines, sign)
          read = CSV.parse(lines, col_sep: sign, liberal_parsing: true)
          read.each.with_index(1).reject { |row, _| row.all? { |cell| cell.to_s.strip.empty? } }
        rescue CSV::MalformedCSVError => e
          raise Core::Error.new("Line #{e.line_number} can't be read. Check its quotation marks.", field: :file)
        end
        private_class_method :rows

        # @param files [Hash{String => String}] of a bundle
        def initialize(files)
          @files = files
        end

        # @return [Array<ListedClass>] those with children, by title
        def classes
          children = enrolled.group_by { |row| row["classSourcedId"] }
          found = rows("classes").filter_map do |row|
            members = children.fetch(row["sourcedId"], []).map { |one| user(one) }.uniq(&:source_id)
            ListedClass.new(row["sourcedId"], row["title"].to_s, members) if members.any?
          end
          found.sort_by(&:title)
        end

        private

        def enrolled = rows("enrollments").select { |row| row["role"].to_s.downcase == "student" }

        def user(enrollment)
          row = users.fetch(enrollment["userSourcedId"]) do |id|
            bad("enrollments", enrollment, "names the user #{id}, who is not in users.csv")
          end
          given = [row["preferredGivenName"], row["givenName"]].map(&:to_s).find { |name| !name.strip.empty? }
          bad("users", row, "has no first name") unless given
          Listed.new(row["sourcedId"], given.strip, row["familyName"].to_s.strip)
        end

        def users = @users ||= rows("users").to_h { |row| [row["sourcedId"], row] }

        def rows(name)
          text = @files.fetch("#{name}.csv") { raise Core::Error.new("This bundle has no #{name}.csv.", field: :file) }
          read = CSV.parse(Bundle.text(text), headers: true).map(&:to_h).each.with_index(2) { |row, line| row["line"] = line }
          read.each { |row| bad(name, row, "has no sourcedId") if row["sourcedId"].to_s.empty? }
          read.reject { |row| GONE.include?(row["status"].to_s.downcase) }
        rescue CSV::MalformedCSVError => e
          raise Core::Error.new("#{name}.csv, line #{e.line_number}: it can't be read.", field: :file)
        end

        def bad(name, row, words) = raise(Core::Error.new("#{name}.csv, line #{row['line']}: it #{words}.", field: :file))
      end
    end
  end
end
