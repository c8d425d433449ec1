# frozen_string_literal: true

# A term of a class, every plan that was made of it with the forecast that was told, and how long things took in lessons that were given.
Sequel.migration do
  change do
    create_table(:terms, strict: true) do
      column :id, :integer, primary_key: true
      foreign_key :class_id, :classes, type: :integer, null: false, unique: true
      column :first_day, :text, null: false
      column :last_day, :text, null: false
      column :weekdays, :text, null: false
      column :days_off, :text, null: false
      column :aim, :text, null: false
      column :aim_day, :text, null: false
      column :changed_at, :text, null: false
    end
    create_table(:term_plans, strict: true) do
      column :id, :integer, primary_key: true
      foreign_key :term_id, :terms, type: :integer, null: false, index: true
      column :made_at, :text, null: false
      column :cause, :text, null: false
      column :change, :text
      column :lessons, :text, null: false
      column :known_of, :text, null: false
      column :forecast, :text
      column :put_back_at, :text
    end
    add_column :lessons, :seconds, :text
  end
end
