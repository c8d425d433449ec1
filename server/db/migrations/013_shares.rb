# frozen_string_literal: true

# Classes that a colleague has as well, for good or until a day, and what is known of the school itself.
Sequel.migration do
  change do
    create_table(:shares, strict: true) do
      primary_key :id
      foreign_key :class_id, :classes, type: :integer, null: false
      foreign_key :account_id, :accounts, type: :integer, null: false
      column :last_day, :text
      column :made_at, :text, null: false
      unique %i[class_id account_id]
      index :account_id
    end

    create_table(:facts, strict: true) do
      column :name, :text, primary_key: true
      column :value, :text, null: false
    end
  end
end
