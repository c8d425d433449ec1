# frozen_string_literal: true

# What was removed by mistake can be brought back: its rows lie here, whole, for a while.
Sequel.migration do
  change do
    create_table(:removed, strict: true) do
      primary_key :id
      foreign_key :class_id, :classes, type: :integer, null: false
      column :kind, :text, null: false
      column :thing_id, :integer, null: false
      column :about, :text, null: false
      column :rows, :text, null: false
      column :removed_at, :text, null: false
      index %i[class_id id]
    end
  end
end
