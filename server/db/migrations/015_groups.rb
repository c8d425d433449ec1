# frozen_string_literal: true

# Groups as a teacher put them together, and lessons for some children of a class.
Sequel.migration do
  change do
    create_table(:kept_groups, strict: true) do
      foreign_key :class_id, :classes, type: :integer, primary_key: true
      column :groups, :text, null: false
      column :kept_at, :text, null: false
    end
    alter_table(:lessons) { add_column :child_ids, :text }
  end
end
