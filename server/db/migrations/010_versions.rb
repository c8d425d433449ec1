# frozen_string_literal: true

# A lesson counts its changes, so that one made from an older state is seen; a copy knows what it was copied from. A seat knows
# the device it was taken from last, and why, so that this device can be told.
Sequel.migration do
  change do
    alter_table(:lessons) do
      add_column :version, :integer, null: false, default: 1
      add_column :copied_from, :integer
    end

    alter_table(:seats) do
      add_column :last_token_hash, :text
      add_column :last_why, :text
    end
  end
end
