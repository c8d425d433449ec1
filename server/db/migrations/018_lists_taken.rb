# frozen_string_literal: true

# Lists of children that were taken: what the class was before, so that each can be taken back for a while.
Sequel.migration do
  change do
    create_table(:lists_taken, strict: true) do
      column :id, :integer, primary_key: true
      foreign_key :class_id, :classes, type: :integer, null: false, index: true
      column :before, :text, null: false
      column :added, :text, null: false
      column :taken_at, :text, null: false
    end
  end
end
