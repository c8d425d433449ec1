# frozen_string_literal: true

require "digest"

# What a teacher's name is found by: the same for every way of typing it. Where two old accounts differ by case alone, the
# later one is found by its name as it stands.
Sequel.migration do
  up do
    alter_table(:accounts) { add_column :folded, :text, null: false, default: "" }
    taken = []
    from(:accounts).order(:id).each do |row|
      folded = row[:login].unicode_normalize(:nfkc).downcase(:fold)
      folded = "#{row[:login]} #{row[:id]}" if taken.include?(folded)
      taken << folded
      from(:accounts).where(id: row[:id]).update(folded:)
    end
    add_index :accounts, :folded, unique: true # rubocop:disable Sequel/ConcurrentIndex -- SQLite has none
  end

  down do
    alter_table(:accounts) do
      drop_index :folded # rubocop:disable Sequel/ConcurrentIndex -- SQLite has none
      drop_column :folded
    end
  end
end
