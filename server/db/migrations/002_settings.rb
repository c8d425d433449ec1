# frozen_string_literal: true

# How a class says and writes times, and its own day. What is empty is the default.
Sequel.migration do
  change do
    alter_table(:classes) do
      add_column :conventions, :text, null: false, default: "{}"
      add_column :day, :text, null: false, default: "[]"
    end
  end
end
