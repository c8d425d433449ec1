# frozen_string_literal: true

module Vantick
  module Core
    module Teaching
      # What a teacher has set for one child, so that it can work as the others do: at devices and on paper.
      class Adjustments
        TABLE = Facts::DataFile.load("adjustments")
        KINDS = TABLE[:kinds].to_h { |kind| [kind[:id].to_sym, kind] }.freeze
        NOTATIONS = TABLE[:notations].to_h { |notation| [notation[:id].to_sym, notation] }.freeze

        # @return [Symbol] one of {NOTATIONS}' keys: in which form this child is asked for times
        attr_reader :notation
        # @return [Wording::HomeLanguage, nil] what is spoken at home, where that is not English alone
        attr_reader :home

        # @param set [Hash{Symbol => Object}] true for each of {KINDS} that is on, `notation` and `home`; what is left out is off
        # @raise [UnknownName]
        # @example
        #   Adjustments.new(fewer: true, notation: "digits").tasks(10) # 5
        def initialize(set = {})
          @notation = known(:notation, set.fetch(:notation, :both).to_sym, NOTATIONS)
          @home = set[:home] && Wording::HomeLanguage.find(set[:home])
          @on = set.except(:notation, :home).select { |_, on| on }.keys.map { |id| known(:id, id.to_sym, KINDS) }.freeze
          freeze
        end

        # @param id [Symbol] one of {KINDS}' keys
        # @return [Boolean]
        def on?(id) = @on.include?(KINDS.fetch(id)[:id].to_sym)

        # @return [Boolean] whether nothing is set
        def none? = @on.empty? && notation == :both && home.nil?

        # @return [Float] how much larger a large dial is on paper
        def self.scale = TABLE[:scale]

        # @return [Array<String>] what is set, for whoever gives a lesson; what a family speaks is not theirs to know
        def names
          names = KINDS.keys.select { |id| on?(id) }.map { |id| KINDS.fetch(id)[:name] }
          notation == :both ? names : [*names, NOTATIONS.fetch(notation)[:name]]
        end

        # @param usual [Integer]
        # @return [Integer] tasks of a round at a device
        def tasks(usual) = on?(:fewer) ? [TABLE[:tasks], usual].min : usual

        # @param usual [Integer]
        # @return [Integer] exercises on a sheet of the child's own
        def exercises(usual) = on?(:fewer) ? (usual * TABLE[:share]).ceil : usual

        # @param tasks [Array<Tasks::Task>]
        # @return [Array<Tasks::Task>] those in this child's form; all where none is
        def fitting(tasks)
          return tasks if notation == :both

          other = notation == :words ? :digits : :words
          left = tasks.reject { |task| task.forms.include?(other) }
          left.empty? ? tasks : left
        end

        # @param ids [Array<Symbol>] of {KINDS}
        # @return [Adjustments] with no others
        def only(*ids) = Adjustments.new(ids.to_h { |id| [id, on?(id)] })

        # @return [Hash{Symbol => Object}] as it is stored
        def to_h = { **KINDS.keys.to_h { |id| [id, on?(id)] }, notation: notation.to_s, home: home&.id&.to_s }

        # @return [Adjustments] that most children have
        def self.none = @none ||= new

        private

        def known(field, id, table)
          table.key?(id) ? id : raise(UnknownName.new("adjustment", id, table.keys, field:))
        end
      end
    end
  end
end
