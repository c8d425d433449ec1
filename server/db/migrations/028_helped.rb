# frozen_string_literal: true

# Clocks on paper that have help on them: what is answered there says less.
Sequel.migration do
  change do
    add_column :items, :helped, :integer
  end
end
