# frozen_string_literal: true

require "nokogiri"
require "yaml"

module Vantick
  module Server
    module Formats
      # A check or sheet as a QTI 3.0 package (1EdTech; from memory): an item a clock, dials as SVG, with what counts as right and what a
      # child is told of a mistake, and a test that has them in order.
      class Qti
        TABLE = YAML.safe_load_file(File.join(__dir__, "qti.yml"), symbolize_names: true).freeze
        # Side of a dial, in points.
        SIDE = 240
        # Answers that can be chosen from (judgement: the twelve hours).
        MOST_CHOICES = 12
        TEST = "test.xml"

        # @param title [String]
        # @param code [String] what the items' names begin with
        # @param asked [Array<Array(Core::Tasks::Task, Core::Dial::DialTime)>] in order
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
          files = { "imsmanifest.xml" => manifest(pictures), TEST => test }
          @asked.each_with_index do |(task, time), at|
            files["items/#{name(at)}.xml"] =
              QtiItem.new(name(at), "#{@title}, #{at + 1}", task, time, @conventions).xml(picture(at, pictures))
          end
          pictures.each_with_index { |svg, at| files["items/#{picture(at, pictures)}"] = svg if svg }
          Bundle.write(files)
        end

        # @param code [String] of a check
        # @param number [Integer] of a clock
        # @return [String] its name there: in XML a name begins with a letter
        def self.name_of(code, number) = "clock-#{code}-#{number}"

        private

        def name(at) = self.class.name_of(@code, at + 1)

        def picture(at, pictures) = pictures[at] && "#{name(at)}.svg"

        def manifest(pictures)
          Nokogiri::XML::Builder.new(encoding: "UTF-8") do |xml|
            xml.manifest(xmlns: TABLE[:manifest_namespace], identifier: "vantick-#{@code}") do
              xml.metadata do
                xml.schema_ TABLE[:schema]
                xml.schemaversion TABLE[:schema_version]
              end
              xml.organizations
              xml.resources do
                test_resource(xml)
                @asked.each_index { |at| resource(xml, at, pictures) }
              end
            end
          end.to_xml
        end

        def test_resource(xml)
          xml.resource(identifier: "test-#{@code}", type: TABLE[:test_type], href: TEST) do
            xml.file(href: TEST)
            @asked.each_index { |at| xml.dependency(identifierref: name(at)) }
          end
        end

        # All clocks in their order, and each can be gone back to.
        def test
          Nokogiri::XML::Builder.new(encoding: "UTF-8") do |xml|
            xml.public_send(:"qti-assessment-test", xmlns: TABLE[:namespace], identifier: "test-#{@code}", title: @title) do
              xml.public_send(:"qti-test-part", identifier: "part-1", "navigation-mode": "nonlinear", "submission-mode": "individual") do
                xml.public_send(:"qti-assessment-section", identifier: "section-1", title: @title, visible: "true") do
                  @asked.each_index do |at|
                    xml.public_send(:"qti-assessment-item-ref", identifier: name(at), href: "items/#{name(at)}.xml")
                  end
                end
              end
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
