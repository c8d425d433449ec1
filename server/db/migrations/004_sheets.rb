# frozen_string_literal: true

# A check can be on a sheet: its code, how it looks, and for each child other exercises where the teacher wants
# that. `child_id` empty is for all.
Sequel.migration do
  change do
    alter_table(:checks) do
      add_column :code, :text
      add_column :sheet, :text, null: false, default: "{}"
      add_index :code, unique: true # rubocop:disable Sequel/ConcurrentIndex -- SQLite has none
    end

    alter_table(:items) do
      add_column :child_id, :integer
      add_column :said, :text
      add_column :misreading, :text
      add_column :level, :integer
    end
  end
end
