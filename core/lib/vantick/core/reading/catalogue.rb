# frozen_string_literal: true

module Vantick
  module Core
    module Reading
      # Every misreading: its faults, one step of a chain done wrongly, and its texts.
      module Catalogue
        FAULTS = [WholeFaults, HourFaults, DialFaults, DigitalFaults, HeardFaults, SettingFaults, LengthFaults, DayFaults].freeze

        class << self
          # @return [Array<Misreading>] in the order of misreadings.yml
          # @raise [InvalidData] where texts and rules do not name the same misreadings
          def misreadings = @misreadings || Facts::Once.make { @misreadings ||= build.freeze }

          private

          def build
            texts = Facts::DataFile.entries("misreadings", required: %i[id] + Misreading::TEXTS).to_h { |entry| [entry[:id].to_sym, entry] }
            differing = (texts.keys - rules.keys) | (rules.keys - texts.keys)
            raise InvalidData, "misreadings.yml and the rules differ: #{differing.join(', ')}" if differing.any?

            texts.map do |id, entry|
              Misreading.new(id, entry.slice(*Misreading::TEXTS, Misreading::UNSEEN), rules.fetch(id), seldom: entry[:seldom])
            end
          end

          # The same misreading can lie in several chains.
          def rules
            @rules ||= FAULTS.map(&:rules).reduce do |all, more|
              all.merge(more) { |_, one, other| { **one, **other } }
            end
          end
        end
      end
    end
  end
end
