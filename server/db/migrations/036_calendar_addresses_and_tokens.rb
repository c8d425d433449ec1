# frozen_string_literal: true

# An address by which calendars follow the lessons of a class, kept as it is since it is shown again; and tokens by which other programs
# read or type in a class, of which only a digest is kept.
Sequel.migration do
  change do
    create_table(:calendar_addresses, strict: true) do
      primary_key :id, type: :integer
      foreign_key :class_id, :classes, type: :integer, null: false, unique: true
      column :key, :text, null: false, unique: true
      column :made_at, :text, null: false
    end

    create_table(:access_tokens, strict: true) do
      primary_key :id, type: :integer
      foreign_key :class_id, :classes, type: :integer, null: false, index: true
      foreign_key :account_id, :accounts, type: :integer, null: false, index: true
      column :name, :text, null: false
      column :scope, :text, null: false
      column :digest, :text, null: false, unique: true
      column :made_at, :text, null: false
      column :used_on, :text
    end
  end
end
