# frozen_string_literal: true

# In which other way a task is asked on a device: a wrong clock to fix, or the right one to find.
Sequel.migration do
  change { alter_table(:items) { add_column :variant, :text } }
end
