# frozen_string_literal: true

# When a child came into its class, where that was after the class was made: what the class did before is not the child's.
Sequel.migration do
  change do
    add_column :children, :joined_at, :text
  end
end
