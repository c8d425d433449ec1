# frozen_string_literal: true

# A teacher's own verdict on an answer. The first verdict stays beside it; the last overruling stands.
Sequel.migration do
  change do
    create_table(:overrules, strict: true) do
      primary_key :id
      foreign_key :answer_id, :answers, type: :integer, null: false
      column :verdict, :text, null: false
      column :ruled_at, :text, null: false
      index :answer_id
    end
  end
end
