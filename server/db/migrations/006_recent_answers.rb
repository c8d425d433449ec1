# frozen_string_literal: true

# A child's answers, to be read from the newest back.
Sequel.migration do
  change do
    alter_table(:answers) { add_index %i[child_id id] } # rubocop:disable Sequel/ConcurrentIndex -- SQLite has none
  end
end
