# frozen_string_literal: true

# Children at devices. A desk is open for a class or some of it, a seat is a child at it, a turn is what the child is asked,
# with the reason why. Its items belong to the desk's check, so that answers stand with all others; what comes after
# the first try is kept beside it.
Sequel.migration do
  change do
    create_table(:desks, strict: true) do
      primary_key :id
      foreign_key :class_id, :classes, type: :integer, null: false
      foreign_key :check_id, :checks, type: :integer, null: false
      foreign_key :lesson_id, :lessons, type: :integer, on_delete: :set_null
      column :kind, :text, null: false
      column :stage, :text
      column :step, :text
      column :child_ids, :text
      column :code, :text, null: false, unique: true
      column :opened_at, :text, null: false
      column :expires_at, :text, null: false
      column :closed_at, :text
      index %i[class_id id]
      index :check_id
    end

    create_table(:seats, strict: true) do
      primary_key :id
      foreign_key :desk_id, :desks, type: :integer, null: false
      foreign_key :child_id, :children, type: :integer, null: false
      column :token_hash, :text, null: false, unique: true
      column :step, :text
      column :round, :integer, null: false, default: 1
      column :round_began_at, :text, null: false
      column :joined_at, :text, null: false
      unique %i[desk_id child_id]
    end

    create_table(:turns, strict: true) do
      primary_key :id
      foreign_key :desk_id, :desks, type: :integer, null: false
      foreign_key :child_id, :children, type: :integer, null: false
      column :round, :integer, null: false
      column :step, :text, null: false
      column :task, :text, null: false
      column :item_ids, :text, null: false
      column :reason, :text, null: false
      column :against, :text
      column :ahead, :integer, null: false, default: 0
      column :tries, :integer, null: false, default: 0
      column :asked_at, :text, null: false
      column :done_at, :text
      index %i[desk_id child_id id]
    end

    create_table(:tries, strict: true) do
      primary_key :id
      column :uuid, :text, null: false, unique: true
      foreign_key :answer_id, :answers, type: :integer, null: false
      column :answer, :text, null: false
      column :verdict, :text, null: false
      column :misreadings, :text, null: false
      column :read_as, :text, null: false
      column :answered_at, :text, null: false
      index :answer_id
    end

    alter_table(:items) do
      add_column :step, :text
      add_column :task, :text
    end

    alter_table(:children) { add_column :pictures, :text }
  end
end
