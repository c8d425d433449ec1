# frozen_string_literal: true

# What is worked on beside requests, so that it is resumed after a fall; and the ids of what was erased, ids alone, so that an older copy
# that is put back loses them again.
Sequel.migration do
  change do
    create_table(:jobs, strict: true) do
      column :id, :integer, primary_key: true
      column :kind, :text, null: false
      column :key, :text, unique: true
      column :class_id, :integer
      column :about, :text, null: false, default: "{}"
      column :state, :text, null: false, default: "waiting"
      column :done, :integer, null: false, default: 0
      column :of, :integer, null: false, default: 0
      column :tries, :integer, null: false, default: 0
      column :trouble, :text
      column :result, :text
      column :made_at, :text, null: false
      column :changed_at, :text, null: false
      index %i[state id]
      index %i[class_id kind]
    end

    create_table(:erased, strict: true) do
      column :kind, :text, null: false
      column :thing_id, :integer, null: false
      column :erased_at, :text, null: false
      primary_key %i[kind thing_id]
    end
  end
end
