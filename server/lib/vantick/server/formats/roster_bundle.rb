# frozen_string_literal: true

require "csv"

module Vantick
  module Server
    module Formats
      # A OneRoster bundle of a school's classes and who is in them. What is wrong with one child leaves out that child, and says so; a
      # bundle of changes alone is no list, and is refused by name.
      class RosterBundle
        GONE = %w[tobedeleted inactive].freeze
        SIGNS = Roster::SIGNS
        # What a child is called, the first choice first.
        GIVEN = %w[preferredgivenname preferredfirstname givenname].freeze
        DELTA = "This bundle has only what changed since the last one (delta). Export it in full (bulk)."
        WORDS = { unknown: "enrollments.csv, line %<line>s: the user %<id>s is not in users.csv.",
                  gone: "users.csv, line %<line>s: a child is marked as deleted, but still in the class.",
                  nameless: "users.csv, line %<line>s: a child has no first name." }.freeze

        # @param files [Hash{String => String}]
        # @param today [String, nil] enrolments that ended before are over
        def initialize(files, today = nil)
          @files = files.transform_keys(&:downcase)
          @today = today
          raise Core::Error.new(DELTA, field: :file) if delta?
        end

        # @return [Array<Roster::ListedClass>] those with children, by title
        def classes
          children = enrolled("student").group_by { |row| row["classsourcedid"] }
          found = current("classes").filter_map do |row|
            members, left_out = members(children.fetch(row["sourcedid"], []))
            next if members.empty? && left_out.empty?

            Roster::ListedClass.new(row["sourcedid"], row["title"].to_s, members, nil, nil, about(row), left_out)
          end
          found.sort_by { |listed_class| [listed_class.title, listed_class.about] }
        end

        private

        # What the manifest says of each file, where there is one.
        def delta?
          return false unless @files.key?("manifest.csv")

          table("manifest").any? { |row| row["propertyname"].to_s.start_with?("file.") && row["value"].to_s.downcase == "delta" }
        end

        # Where the school, teacher, grade and period are known they tell one class from another.
        def about(row)
          teachers = enrolled("teacher").select { |enrolment| enrolment["classsourcedid"] == row["sourcedid"] }
          people = teachers.filter_map { |teacher| users[teacher["usersourcedid"]] }
          names = people.map { |person| person.values_at("givenname", "familyname").join(" ") }
          grade, period = %w[grades periods].map { |name| row[name].to_s }
          [schools[row["schoolsourcedid"]], *names, ("grade #{grade}" unless grade.empty?), ("period #{period}" unless period.empty?)]
            .compact.reject(&:empty?).join(", ")
        end

        def schools = @schools ||= table("orgs", needed: false).to_h { |row| [row["sourcedid"], row["name"].to_s] }

        def enrolled(role)
          @enrolled ||= current("enrollments").reject { |row| over?(row) }.group_by { |row| row["role"].to_s.downcase }
          @enrolled.fetch(role, [])
        end

        def over?(row) = @today && row["enddate"].to_s.match?(/\A\d{4}-\d\d-\d\d/) && row["enddate"][0, 10] < @today

        # @return [Array(Array<Roster::Listed>, Array<String>)] the children, and who was left out
        def members(enrolments)
          found = enrolments.map { |row| member(row) }
          children, words = found.partition { |person| person.is_a?(Roster::Listed) }
          [children.uniq(&:source_id), words.uniq]
        end

        def member(enrolment)
          row = users[enrolment["usersourcedid"]] or return format(WORDS[:unknown], line: enrolment["line"], id: enrolment["usersourcedid"])
          return format(WORDS[:gone], line: row["line"]) if GONE.include?(row["status"].to_s.downcase)

          given = row.values_at(*GIVEN).find { |name| name.to_s != "" } or return format(WORDS[:nameless], line: row["line"])
          family = row["familyname"].to_s
          Roster::Listed.new(row["sourcedid"], given, family == OneRoster::NO_FAMILY ? "" : family)
        end

        def users = @users ||= table("users").to_h { |row| [row["sourcedid"], row] }

        def current(name) = table(name).reject { |row| GONE.include?(row["status"].to_s.downcase) }

        # Rows with their names in lower letters, and the line of each; empty ones and those without an id are none.
        def table(name, needed: true)
          text = @files["#{name}.csv"]
          raise Core::Error.new("This bundle has no #{name}.csv.", field: :file) if needed && !text

          @tables ||= {}
          @tables[name] ||= text ? numbered(name, Bundle.text(text)) : []
        end

        def numbered(name, text)
          all = rows(text).map.with_index(2) { |row, line| { **row, "line" => line } }
          all.select { |row| row["sourcedid"].to_s != "" || row["propertyname"] }
        rescue CSV::MalformedCSVError => e
          raise Core::Error.new("#{name}.csv, line #{e.line_number}: it can't be read.", field: :file)
        end

        def rows(text)
          sign = SIGNS.max_by { |candidate| text.each_line.first.to_s.count(candidate) }
          head, *rows = CSV.parse(text, col_sep: sign)
          names = head.to_a.map { |cell| cell.to_s.strip.downcase.delete(" ") }
          rows.map { |cells| names.zip(cells.map { |cell| cell&.strip }).to_h }
        end
      end
    end
  end
end
