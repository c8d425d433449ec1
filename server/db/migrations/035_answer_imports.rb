# frozen_string_literal: true

# Answers that came in a table or from another program, so that they can be taken out again together.
Sequel.migration do
  change do
    create_table(:answer_imports, strict: true) do
      primary_key :id, type: :integer
      foreign_key :check_id, :checks, type: :integer, null: false, index: true
      column :answer_uuids, :text, null: false
      column :imported_at, :text, null: false
    end
  end
end
