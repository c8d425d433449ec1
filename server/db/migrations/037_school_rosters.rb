# frozen_string_literal: true

# The id that a class has in the school's own system; and lists of the whole school that were taken, each with what is needed to take it
# back: who moved from where, the list of each class, and the classes that were made.
Sequel.migration do
  change do
    alter_table(:classes) { add_column :source_id, :text }

    create_table(:school_rosters, strict: true) do
      primary_key :id, type: :integer
      column :moves, :text, null: false
      column :lists, :text, null: false
      column :made, :text, null: false
      column :taken_at, :text, null: false
    end
  end
end
