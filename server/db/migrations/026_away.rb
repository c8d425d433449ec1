# frozen_string_literal: true

# Who was away on which day, as a teacher says: what was taught then has passed that child by.
Sequel.migration do
  change do
    create_table(:away, strict: true) do
      primary_key :id
      foreign_key :child_id, :children, type: :integer, null: false
      column :day, :text, null: false
      column :said_at, :text, null: false
      unique %i[child_id day]
    end
  end
end
