# frozen_string_literal: true

# Paper that is read: files, their pages, and the pieces of paper with an answer on each. Nothing else refers to them, so that they can go
# at any time; what was read stands among the answers.
Sequel.migration do
  change do
    create_table(:scans, strict: true) do
      column :id, :integer, primary_key: true
      foreign_key :class_id, :classes, type: :integer, null: false, index: true
      column :name, :text, null: false
      column :made_at, :text, null: false
      column :bytes, :integer, null: false
      column :received, :integer, null: false, default: 0
      column :state, :text, null: false
      column :trouble, :text, null: false, default: ""
      column :pages, :integer, null: false, default: 0
    end
    create_table(:scan_pages, strict: true) do
      column :id, :integer, primary_key: true
      foreign_key :scan_id, :scans, type: :integer, null: false, index: true
      column :number, :integer, null: false
      column :state, :text, null: false
      column :words, :text, null: false, default: ""
      column :check_id, :integer, index: true
      column :child_id, :integer
      column :page, :integer
      column :corners, :text
      column :picture, :blob
    end
    create_table(:scan_pieces, strict: true) do
      column :id, :integer, primary_key: true
      foreign_key :scan_page_id, :scan_pages, type: :integer, null: false, index: true
      column :item_id, :integer, null: false, index: true
      column :child_id, :integer, null: false
      column :kind, :text, null: false
      column :seen, :text, null: false
      column :sure, :integer, null: false
      column :guesses, :text, null: false
      column :answer_uuid, :text
      column :settled_at, :text
      column :picture, :blob, null: false
    end
  end
end
