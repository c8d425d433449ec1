# frozen_string_literal: true

module Vantick
  module Core
    module Wording
      # A language that a family speaks: how it says half and quarters, and what a note to parents says in it. From memory, to be checked by
      # a speaker before it is used.
      class HomeLanguage
        # @return [Symbol] as BCP 47 has it, such as `:pl`
        attr_reader :id
        # @return [String] its name in English, and in itself
        attr_reader :name, :own
        # @return [String] what the note says: its title, how times are said, and that the child shows how
        attr_reader :title, :intro, :ask
        # @return [String, nil] how half past is said in English, where the language has the hour that comes
        attr_reader :half
        # @return [Hash{DialTime => String}] how it says four times
        attr_reader :times

        # @return [Array<HomeLanguage>]
        def self.all
          needed = %i[id name own title intro ask times]
          @all || Facts::Once.make do
            @all ||= Facts::DataFile.entries("home_languages", required: needed).map { |entry| new(entry) }.freeze
          end
        end

        # @param id [String, Symbol]
        # @return [HomeLanguage]
        # @raise [UnknownName]
        def self.find(id)
          all.find { |language| language.id.to_s == id.to_s } || raise(UnknownName.new("language", id, all.map(&:id), field: :home))
        end

        # @param entry [Hash{Symbol => Object}] of home_languages.yml
        def initialize(entry)
          @id = entry[:id].to_sym
          @name, @own, @title, @intro, @ask, @half = entry.values_at(:name, :own, :title, :intro, :ask, :half)
          @half_before = entry.fetch(:half_before)
          @times = entry[:times].transform_keys { |time| Dial::DialTime.parse(time.to_s) }.freeze
          freeze
        end

        # @return [Boolean] whether half of the coming hour is said: "half eight" for 7:30
        def half_before? = @half_before

        # @param given [DialTime] what was said
        # @param time [DialTime] what it is
        # @return [Boolean] whether it is half past with the hour that comes, as this language has it
        # @example
        #   HomeLanguage.find(:pl).says?(Dial::DialTime.parse("8:30"), Dial::DialTime.parse("7:30")) # true
        def says?(given, time) = half_before? && time.minute == 30 && given.minute == 30 && given.hour_passed == time.hour_ahead
      end
    end
  end
end
