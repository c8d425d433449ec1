# frozen_string_literal: true

# Children leave and come back, classes end, and what was made by mistake lies for a while where it can be brought back from.
Sequel.migration do
  change do
    alter_table(:children) { add_column :left_at, :text }
    alter_table(:classes) { add_column :archived_at, :text }
    %i[checks lessons].each do |table|
      alter_table(table) { add_column :removed_at, :text }
    end
  end
end
