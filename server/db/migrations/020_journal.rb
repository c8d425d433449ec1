# frozen_string_literal: true

# Who did what that a school has to be able to tell: erased, moved, lent, exported, a password set. Numbers alone, no names and no answers.
Sequel.migration do
  change do
    create_table(:journal, strict: true) do
      column :id, :integer, primary_key: true
      column :at, :text, null: false
      column :account_id, :integer
      column :event, :text, null: false
      column :class_id, :integer
      column :to_account_id, :integer
      index :at
    end
  end
end
