# frozen_string_literal: true

require "nokogiri"
require "yaml"

module Vantick
  module Server
    module Formats
      # A check or sheet as a QTI 3.0 package (1EdTech; from memory): an item a clock, dials as SVG, what counts as right with it.
      class Qti
        TABLE = YAML.safe_load_file(File.join(__dir__, "qti.yml"), symbolize_names: true).freeze
        # Side of a dial, in points.
        SIDE = 240
        # Answers that can be chosen from (judgement: the twelve hours).
        MOST_CHOICES = 12

        # @param title [String]
        # @param code [String] what the items' names begin with
        # @param asked [Array<Array(Core::Marking::Task, Core::Dial::DialTime)>] in order
        # @param conventions [Core::Wording::Conventions]
        def initialize(title, code, asked, conventions)
          @title = title
          @code = code
          @asked = asked
          @conventions = conventions
        end

        # @return [String] a zip
        def package
          pictures = @asked.map { |task, time| QtiItem.picture(task, time) }
          files = { "imsmanifest.xml" => manifest(pictures) }
          @asked.each_with_index do |(task, time), at|
            files["items/#{name(at)}.xml"] =
              QtiItem.new(name(at), "#{@title}, #{at + 1}", task, time, @conventions).xml(picture(at, pictures))
          end
          pictures.each_with_index { |svg, at| files["items/#{picture(at, pictures)}"] = svg if svg }
          Bundle.write(files)
        end

        private

        def name(at) = "#{@code}-#{at + 1}"

        def picture(at, pictures) = pictures[at] && "#{name(at)}.svg"

        def manifest(pictures)
          Nokogiri::XML::Builder.new(encoding: "UTF-8") do |xml|
            xml.manifest(xmlns: TABLE[:manifest_namespace], identifier: "vantick-#{@code}") do
              xml.metadata do
                xml.schema_ TABLE[:schema]
                xml.schemaversion TABLE[:schema_version]
              end
              xml.organizations
              xml.resources { @asked.each_index { |at| resource(xml, at, pictures) } }
            end
          end.to_xml
        end

        def resource(xml, at, pictures)
          file = "items/#{name(at)}.xml"
          xml.resource(identifier: name(at), type: TABLE[:item_type], href: file) do
            xml.file(href: file)
            xml.file(href: "items/#{picture(at, pictures)}") if pictures[at]
          end
        end
      end
    end
  end
end
