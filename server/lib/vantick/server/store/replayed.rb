# frozen_string_literal: true

module Vantick
  module Server
    module Store
      # What was erased is erased again in a copy that is put back: it may be older. Ids are not given out twice, so that nobody who comes
      # later is taken for somebody who was erased.
      module Replayed
        COUNTED = { "child" => :children, "class" => :classes }.freeze

        class << self
          # @param fresh [String] a copy, before it takes the place of the school's file
          # @param path [String] of the school's file
          def erase(fresh, path)
            erased, last = known(path)
            SafeCopy.change(fresh) do |database|
              found = [erased, listed(path, database)].reduce { |one, other| one.merge(other) { |_, some, more| some | more } }
              blank(database, Erasing.new(database).erase_again(found))
              found.each { |kind, ids| count_on(database, kind, [*ids, last.fetch(kind, 0)].max) }
              last.each { |kind, id| count_on(database, kind, id) }
            end
          end

          private

          # Of the file that is there, where it can be read and is the same school's.
          # @return [Array(Hash, Hash)] what was erased, and the last ids that were given out, by kind
          def known(path)
            return [{}, {}] if SameSchool.nothing?(path)

            SafeCopy.look(path) do |database|
              [Erasing.new(database).erased, COUNTED.transform_values { |table| last(database, table) }]
            end
          rescue Unusable
            [{}, {}]
          end

          # What the list beside the copies has, where the file itself is gone.
          def listed(path, database)
            secret = database.table_exists?(:secrets) && database[:secrets].get(:secret)
            secret ? ErasedList.new(File.join(File.dirname(path), SafeCopy::FOLDER), School.new(database).sign).read : {}
          end

          def last(database, table)
            database.table_exists?(:sqlite_sequence) ? database.from(:sqlite_sequence).where(name: table.to_s).get(:seq).to_i : 0
          end

          def count_on(database, kind, id)
            table = COUNTED.fetch(kind)
            return if last(database, table) >= id

            database.from(:sqlite_sequence).where(name: table.to_s).update(seq: id)
          end

          # Nobody can cut pictures here: those that show several children's paper go, what was read of them stays.
          def blank(database, pages)
            database[:scan_pages].where(id: pages).update(picture: nil) if pages.any?
          end
        end
      end
    end
  end
end
