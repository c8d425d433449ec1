# frozen_string_literal: true

# What a teacher set for one child, and clocks on paper that are large ones for it.
Sequel.migration do
  change do
    add_column :children, :adjustments, :text
    add_column :items, :larger, :integer
  end
end
