# frozen_string_literal: true

# Classes, the checks they were given, and every answer ever given. Answers are only added: a
# correction is a new row that points at the one it corrects.
Sequel.migration do
  change do
    create_table(:classes, strict: true) do
      primary_key :id
      column :name, :text, null: false
      column :school, :text, null: false, default: ""
      column :made_up, :integer, null: false, default: 0
      column :made_at, :text, null: false
    end

    create_table(:children, strict: true) do
      primary_key :id
      foreign_key :class_id, :classes, type: :integer, null: false
      column :name, :text, null: false
      column :position, :integer, null: false
      unique %i[class_id name]
    end

    create_table(:checks, strict: true) do
      primary_key :id
      foreign_key :class_id, :classes, type: :integer, null: false
      column :step, :text, null: false
      column :task, :text, null: false
      column :made_at, :text, null: false
      index :class_id
    end

    create_table(:items, strict: true) do
      primary_key :id
      foreign_key :check_id, :checks, type: :integer, null: false
      column :position, :integer, null: false
      column :time, :text, null: false
      unique %i[check_id position]
    end

    create_table(:answers, strict: true) do
      primary_key :id
      column :uuid, :text, null: false, unique: true
      foreign_key :item_id, :items, type: :integer, null: false
      foreign_key :child_id, :children, type: :integer, null: false
      foreign_key :corrects_id, :answers, type: :integer, unique: true
      column :answer, :text, null: false
      column :verdict, :text, null: false
      column :misreadings, :text, null: false
      column :read_as, :text, null: false
      column :read_short, :text, null: false
      column :slips, :text, null: false
      column :answered_at, :text, null: false
      index %i[item_id child_id]
    end
  end
end
