# frozen_string_literal: true

# What a teacher has done of the first day, on whatever device.
Sequel.migration do
  change do
    add_column :accounts, :first_day, :text, null: false, default: "[]"
  end
end
