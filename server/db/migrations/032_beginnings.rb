# frozen_string_literal: true

# How a step that is new to a child begins on a device: with a clock that is shown first, and a task that is half done.
Sequel.migration do
  change do
    alter_table(:items) do
      add_column :example, :text
      add_column :half, :integer
    end
  end
end
