# frozen_string_literal: true

# The ids that classes and children came with from another program, so that they are known again when they come once more.
Sequel.migration do
  change do
    alter_table(:children) { add_column :source_id, :text }
  end
end
