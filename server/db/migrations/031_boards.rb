# frozen_string_literal: true

# What a class showed when all held up their boards: how many had which answer, and nothing of one child.
Sequel.migration do
  change do
    create_table(:boards, strict: true) do
      primary_key :id
      foreign_key :class_id, :classes, type: :integer, null: false
      foreign_key :lesson_id, :lessons, type: :integer, on_delete: :set_null
      column :day, :text, null: false
      column :step, :text, null: false
      column :task, :text, null: false
      column :time, :text, null: false
      column :amounts, :text, null: false
      column :shown_at, :text, null: false
      index %i[class_id lesson_id]
    end
  end
end
