# frozen_string_literal: true

# Weeks of help for a child who is far below the class: when they began, and what was planned.
Sequel.migration do
  change do
    create_table(:support_plans, strict: true) do
      primary_key :id, type: :integer
      foreign_key :child_id, :children, type: :integer, null: false, index: true
      column :began_on, :text, null: false
      column :weeks, :text, null: false
      column :made_at, :text, null: false
    end
  end
end
