# frozen_string_literal: true

require "csv"
require "yaml"

module Vantick
  module Server
    module Formats
      # OneRoster 1.2, the CSV bundle (1EdTech; from memory): a class with its children, and what their checks came to.
      class OneRoster
        TABLE = YAML.safe_load_file(File.join(__dir__, "oneroster.yml"), symbolize_names: true).freeze
        NO_FAMILY = TABLE[:no_family]
        # A line ends as RFC 4180 has it.
        LINE = "\r\n"
        # The share of right answers, as the field wants it.
        SCALE = (0..10).map { |tenth| { itemValueLHS: "#{tenth * 10} %", itemValueRHS: (tenth / 10.0).to_s } }.freeze

        # Whoever is in the class: the number of each, its id, its name, and what it is there.
        Member = Struct.new(:number, :id, :name, :role)

        # @param own_ids [OwnIds]
        # @param school_class [Store::Rows::SchoolClass]
        # @param ids [Hash{Integer => String}] by child, the id it came with
        # @param class_id [String, nil] the id that the class came with
        # @param teacher [Hash, nil] `id` and `name` of the account whose class it is
        def initialize(own_ids, school_class, ids, class_id: nil, teacher: nil)
          @own_ids = own_ids
          @class = school_class
          @ids = ids
          @class_id = class_id
          @teacher = teacher
        end

        # @param results [Array<Hash>] of each check its `id`, `title`, `made_at`, and `scores` from 0 to 1 by child
        # @param at [String] a moment
        # @return [String] a zip
        def bundle(results, at)
          @results = results
          @at = at
          files = { academicSessions: sessions, orgs: [org], courses: [course], classes: [klass], users:, roles:, enrollments:,
                    categories: [category], scoreScales: [scale], lineItems: line_items, results: scores }
          named = { manifest: manifest(files.keys), **files }
          Bundle.write(named.to_h { |name, rows| ["#{name}.csv", csv(name, rows)] })
        end

        private

        def id(kind, number) = @own_ids.of(kind, number)

        # The one that a child came with, or one of this school's.
        def child_id(child) = @ids[child.id] || id(:child, child.id)

        def csv(name, rows)
          columns = TABLE[:files].fetch(name).map(&:to_sym)
          CSV.generate(row_sep: LINE) do |csv|
            csv << columns
            rows.each { |row| csv << row.values_at(*columns) }
          end
        end

        # In bulk neither a status nor a moment is said.
        def row(id, **cells) = { sourcedId: id, **cells }

        def manifest(files)
          about = { "manifest.version" => "1.0", "oneroster.version" => TABLE[:version],
                    **files.to_h { |name| ["file.#{name}", "bulk"] }, **TABLE[:absent].to_h { |name| ["file.#{name}", "absent"] },
                    "source.systemName" => "Vantick", "source.systemCode" => "vantick" }
          about.map { |name, value| { propertyName: name, value: } }
        end

        # This year's, and those that checks were made in.
        def sessions = [@at, *@results.map { |check| check[:made_at] }].map { |moment| session(moment) }.uniq

        # A school year from August to July (judgement: OneRoster wants one, and Vantick keeps none).
        def session(moment = @at)
          day = Date.iso8601(moment[0, 10])
          from = day.month >= 8 ? day.year : day.year - 1
          row(id(:year, from), title: "#{from}-#{from + 1}", type: TABLE[:words][:year], startDate: "#{from}-08-01",
                               endDate: "#{from + 1}-07-31", schoolYear: from + 1)
        end

        def org = row(id(:school, 1), name: @class.school.empty? ? "School" : @class.school, type: TABLE[:words][:school])

        def course = row(id(:course, 1), title: "Telling the time", orgSourcedId: org[:sourcedId])

        def klass
          row(@class_id || id(:class, @class.id), title: @class.name, courseSourcedId: course[:sourcedId],
                                                  classType: TABLE[:words][:homeroom],
                                     schoolSourcedId: org[:sourcedId], termSourcedIds: session[:sourcedId])
        end

        # A first name or alias is all there is of a child, and the name of the account of a teacher.
        def members
          children = @class.children.map { |child| Member.new(child.id, child_id(child), child.name, TABLE[:words][:student]) }
          return children unless @teacher

          number = "teacher-#{@teacher[:id]}"
          children + [Member.new(number, id(:teacher, @teacher[:id]), @teacher[:name], TABLE[:words][:teacher])]
        end

        def users
          members.map do |member|
            row(member.id, enabledUser: "true", username: member.id, givenName: member.name, familyName: NO_FAMILY,
                        primaryOrgSourcedId: org[:sourcedId])
          end
        end

        def roles
          members.map do |member|
            row(id(:role, member.number), userSourcedId: member.id, roleType: TABLE[:words][:primary], role: member.role,
                                       orgSourcedId: org[:sourcedId])
          end
        end

        def enrollments
          members.map do |member|
            row(id(:enrollment, member.number), classSourcedId: klass[:sourcedId], schoolSourcedId: org[:sourcedId],
                userSourcedId: member.id, role: member.role, primary: (member.role == TABLE[:words][:teacher]).to_s)
          end
        end

        def category = row(id(:category, 1), title: "Checks", weight: "1")

        def scale
          value = SCALE.map { |step| "{#{step[:itemValueLHS]}:#{step[:itemValueRHS]}}" }.join(",")
          row(id(:scale, 1), title: "Share of right answers", type: "percent", orgSourcedId: org[:sourcedId],
                             classSourcedId: klass[:sourcedId], scoreScaleValue: value)
        end

        def line_items
          @results.map do |check|
            day = check[:made_at][0, 10]
            row(id(:check, check[:id]), title: check[:title], assignDate: day, dueDate: day, classSourcedId: klass[:sourcedId],
                                        categorySourcedId: category[:sourcedId], resultValueMin: "0", resultValueMax: "1",
                                        academicSessionSourcedId: session(check[:made_at])[:sourcedId], schoolSourcedId: org[:sourcedId])
          end
        end

        def scores
          children = @class.children.to_h { |child| [child.id, child] }
          @results.flat_map do |check|
            check[:scores].slice(*children.keys).map do |child_id, score|
              row(id(:result, "#{check[:id]}-#{child_id}"), lineItemSourcedId: id(:check, check[:id]),
                  studentSourcedId: child_id(children[child_id]), scoreStatus: TABLE[:words][:graded], score: format("%.2f", score),
                  scoreDate: check[:made_at][0, 10], scoreScaleSourcedId: scale[:sourcedId], classSourcedId: klass[:sourcedId])
            end
          end
        end
      end
    end
  end
end
