# frozen_string_literal: true

# What was told of a term on a day: it is compared with what came of it.
Sequel.migration do
  change do
    create_table(:forecasts, strict: true) do
      primary_key :id
      foreign_key :term_id, :terms, type: :integer, null: false
      column :day, :text, null: false
      column :aim, :text, null: false
      column :aim_day, :text, null: false
      column :points, :text, null: false
      unique %i[term_id day]
    end
  end
end
