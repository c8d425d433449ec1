# frozen_string_literal: true

# The days and the aim that a plan was made for: it is put back with them. Plans of before know nothing of theirs.
Sequel.migration do
  change do
    add_column :term_plans, :settings, :text
  end
end
