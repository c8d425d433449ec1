# frozen_string_literal: true

# Teachers' accounts, with the tables that Rodauth keeps of them, and whose each class is. `secrets` holds the one key
# that sessions are sealed with.
Sequel.migration do
  change do
    create_table(:accounts, strict: true) do
      primary_key :id
      column :login, :text, null: false, unique: true
    end

    create_table(:account_password_hashes, strict: true) do
      foreign_key :id, :accounts, type: :integer, primary_key: true
      column :password_hash, :text, null: false
    end

    create_table(:account_login_failures, strict: true) do
      foreign_key :id, :accounts, type: :integer, primary_key: true
      column :number, :integer, null: false, default: 1
    end

    create_table(:account_lockouts, strict: true) do
      foreign_key :id, :accounts, type: :integer, primary_key: true
      column :key, :text, null: false
      column :deadline, :text, null: false
    end

    create_table(:account_active_session_keys, strict: true) do
      foreign_key :account_id, :accounts, type: :integer
      column :session_id, :text
      column :created_at, :text, null: false, default: Sequel::CURRENT_TIMESTAMP
      column :last_use, :text, null: false, default: Sequel::CURRENT_TIMESTAMP
      primary_key %i[account_id session_id]
    end

    create_table(:secrets, strict: true) do
      primary_key :id
      column :secret, :text, null: false
    end

    alter_table(:classes) do
      add_column :account_id, :integer
      add_index :account_id # rubocop:disable Sequel/ConcurrentIndex -- SQLite has none
    end
  end
end
