# frozen_string_literal: true

# Lessons that were planned. `plan` is what the teacher settled, `left_out` the times that were not reached
# when it was given.
Sequel.migration do
  change do
    create_table(:lessons, strict: true) do
      primary_key :id
      foreign_key :class_id, :classes, type: :integer, null: false
      foreign_key :check_id, :checks, type: :integer
      column :day, :text, null: false
      column :plan, :text, null: false
      column :left_out, :text, null: false, default: "[]"
      column :given_at, :text
      column :made_at, :text, null: false
      column :changed_at, :text, null: false
      index %i[class_id day]
    end
  end
end
