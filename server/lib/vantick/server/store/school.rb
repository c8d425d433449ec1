# frozen_string_literal: true

require "digest"

module Vantick
  module Server
    module Store
      # The school as a whole: who has an account in it, who keeps it, and when it was copied.
      class School
        COPIED = "copied_at"
        PROVED = "copy_proved"
        COUNTRY = "country"

        def initialize(database)
          @db = database
        end

        # @return [Integer, nil] whoever made the school, or has been here longest
        def keeper = @db[:accounts].min(:id)

        # @return [Array<Hash>] by name, each with how many classes they have
        def accounts
          classes = @db[:classes].exclude(account_id: nil).group_and_count(:account_id).as_hash(:account_id, :count)
          @db[:accounts].order(:login).select_map(%i[id login]).map { |id, name| { id:, name:, classes: classes.fetch(id, 0) } }
        end

        # @return [Boolean]
        def account?(id) = !@db[:accounts].where(id:).empty?

        # @param to [Integer, nil] who gets the classes
        def remove(account_id, to)
          @db.transaction do
            @db[:shares].where(account_id:).delete
            @db[:access_tokens].where(account_id:).delete
            @db[:shares].where(account_id: to, class_id: @db[:classes].where(account_id:).select(:id)).delete
            @db[:classes].where(account_id:).update(account_id: to)
            %i[account_password_hashes account_login_failures account_lockouts].each { |table| @db[table].where(id: account_id).delete }
            @db[:account_active_session_keys].where(account_id:).delete
            @db[:accounts].where(id: account_id).delete
          end
        end

        # @return [String] what tells this school from all others in what it gives out; nothing can be found out by it
        def sign = Digest::SHA256.hexdigest("school #{Teachers.new(@db).secret}")[0, 12]

        # @return [Hash] of {Core::Wording::English::COUNTRIES}; the last one where nobody was asked
        def country
          known = Core::Wording::English::COUNTRIES
          known[@db[:facts].where(name: COUNTRY).get(:value)] || known.fetch("other")
        end

        # @param id [String] of {Core::Wording::English::COUNTRIES}
        # @raise [Core::UnknownName]
        def live_in(id)
          Core::Wording::English.conventions_of(id)
          note(COUNTRY, id)
        end

        # @return [String, nil] when a copy was taken away last
        def copied_at = @db[:facts].where(name: COPIED).get(:value)

        def copied(at) = note(COPIED, at)

        # The last copy that was opened, checked and counted after it was made.
        # @return [Hash, nil] `at`, and how many `children` are in it
        def proved_copy
          found = @db[:facts].where(name: PROVED).get(:value)
          found && JSON.parse(found, symbolize_names: true)
        end

        def copy_proved(at, children) = note(PROVED, JSON.generate({ at:, children: }))

        private

        def note(name, value)
          @db[:facts].insert_conflict(target: :name, update: { value: }).insert(name:, value:)
        end
      end
    end
  end
end
