# frozen_string_literal: true

module Vantick
  module Server
    module Store
      # Answers that came in together, from a table or another program. They can be taken out together as well.
      class AnswerImports
        # Days for which they can be taken out (as with what was removed).
        DAYS = Trash::DAYS

        def initialize(database)
          @db = database
        end

        # @param check_id [Integer]
        # @param rows [Array] as for {Answers#add_all}
        # @param at [String]
        def add(check_id, rows, at)
          @db.transaction do
            Answers.new(@db).add_all(rows, answered_at: at)
            uuids = rows.map { |given, _| given[:uuid] }
            @db[:answer_imports].insert(check_id:, answer_uuids: JSON.generate(uuids), imported_at: at) if uuids.any?
          end
        end

        # @return [Array<Hash>] the last one first: `id`, `imported_at`, and how many `answers` would go with it
        def all(check_id)
          @db[:answer_imports].where(check_id:).reverse(:id).all.map do |row|
            { **row.slice(:id, :imported_at), answers: removable(row).count }
          end
        end

        # What stood before stands again. What a teacher corrected or judged since is theirs and stays.
        # @return [Integer] how many answers went
        # @raise [Missing]
        def remove(check_id, id)
          @db.transaction do
            row = @db[:answer_imports].first(id:, check_id:) || raise(Missing.new("import", id, field: "import_id"))
            @db[:answer_imports].where(id:).delete
            @db[:answers].where(id: removable(row).select_map(:id)).delete
          end
        end

        # @param now [Time]
        def forget_old(now)
          oldest = (now - (DAYS * 86_400)).utc.iso8601
          @db[:answer_imports].where { imported_at < oldest }.delete
        end

        private

        def removable(row)
          @db[:answers].where(uuid: JSON.parse(row[:answer_uuids]))
                       .exclude(id: @db[:overrules].select(:answer_id))
                       .exclude(id: @db[:tries].select(:answer_id))
                       .exclude(id: @db[:answers].exclude(corrects_id: nil).select(:corrects_id))
        end
      end
    end
  end
end
