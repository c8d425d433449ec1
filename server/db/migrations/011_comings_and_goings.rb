# frozen_string_literal: true

# Children leave and come back, and classes end.
Sequel.migration do
  change do
    alter_table(:children) { add_column :left_at, :text }
    alter_table(:classes) { add_column :archived_at, :text }
  end
end
