# frozen_string_literal: true

# What a teacher says of children without an answer: they know a step, or do not yet.
Sequel.migration do
  change do
    create_table(:said, strict: true) do
      primary_key :id
      foreign_key :child_id, :children, type: :integer, null: false
      column :step, :text, null: false
      column :known, :integer, null: false
      column :said_at, :text, null: false
      unique %i[child_id step]
    end
  end
end
