# frozen_string_literal: true

module Vantick
  module Server
    module Store
      module Places
        # How children are found in what a column holds: whether one of some is there, the same without them, and what is there of one.
        module Held
          # Their ids, one after the other.
          module Ids
            def self.any?(held, ids) = held.intersect?(ids)
            def self.without(held, ids) = held - ids
            def self.of(_held, _id) = [{}]
          end

          # Children as rows.
          module Children
            def self.any?(held, ids) = held.any? { |child| ids.include?(child[:id]) }
            def self.without(held, ids) = held.reject { |child| ids.include?(child[:id]) }
            def self.of(held, id) = held.select { |child| child[:id] == id }.map { |child| child.except(:id) }
          end

          # Groups, each with the ids of its children.
          module Groups
            def self.any?(held, ids) = held.any? { |group| group[:child_ids].intersect?(ids) }
            def self.without(held, ids) = held.map { |group| { **group, child_ids: group[:child_ids] - ids } }
            def self.of(held, id) = held.select { |group| group[:child_ids].include?(id) }.map { |group| group.except(:child_ids) }
          end

          # A sheet's settings, which may name those for whom it is.
          module Settings
            def self.any?(held, ids) = held[:child_ids].to_a.intersect?(ids)
            def self.without(held, ids) = { **held, child_ids: held[:child_ids] - ids }
            def self.of(held, _id) = [held.except(:child_ids)]
          end

          # Rows of several tables that were deleted together.
          module Deleted
            class << self
              def any?(held, ids) = without(held, ids) != held

              # Without their rows, and without those that hang on their answers.
              def without(held, ids)
                left = held[:tables].transform_values { |rows| rows.reject { |row| ids.include?(row[:child_id]) } }
                answers = left.fetch(:answers, []).map { |row| row[:id] }
                { **held, tables: left.transform_values { |rows| hanging(rows, answers).map { |row| unnamed(row, ids) } } }
              end

              def of(held, id)
                answers = held[:tables].fetch(:answers, []).select { |answer| answer[:child_id] == id }
                answers.map { |answer| answer.slice(:answered_at, :answer, :verdict, :read_as) }
              end

              private

              def hanging(rows, answers) = rows.select { |row| !row.key?(:answer_id) || answers.include?(row[:answer_id]) }

              # Of a desk or a lesson for some of the class.
              def unnamed(row, ids)
                row[:child_ids] ? { **row, child_ids: JSON.generate(JSON.parse(row[:child_ids]) - ids) } : row
              end
            end
          end
        end
      end
    end
  end
end
