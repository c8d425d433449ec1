# frozen_string_literal: true

# What each digit of an answer on paper looks like, so that the child's next ones are known by it; whether one is turned round; and of
# an answer that was read without a person, whether somebody who looked found it right. All of it goes with the piece of paper.
Sequel.migration do
  change do
    alter_table(:scan_pieces) do
      add_column :forms, :text
      add_column :turned, :integer, null: false, default: 0
      add_column :looked, :integer
    end
  end
end
