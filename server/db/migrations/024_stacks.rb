# frozen_string_literal: true

# What is printed for a day, as one stack: the lesson, and the checks whose sheets and slips are in it.
Sequel.migration do
  change do
    create_table(:stacks, strict: true) do
      primary_key :id
      foreign_key :class_id, :classes, type: :integer, null: false, index: true
      column :day, :text, null: false
      column :made_at, :text, null: false
      column :lesson_id, :integer, null: false
      column :parts, :text, null: false
    end
  end
end
