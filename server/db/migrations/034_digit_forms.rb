# frozen_string_literal: true

# What each digit of an answer on paper looks like, so that the child's next ones are known by it. It goes with the piece of paper.
Sequel.migration do
  change { alter_table(:scan_pieces) { add_column :forms, :text } }
end
