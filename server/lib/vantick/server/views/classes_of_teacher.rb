# frozen_string_literal: true

module Vantick
  module Server
    module Views
      # The classes that a teacher works with.
      module ClassesOfTeacher
        OWN = { of: nil, right: :owning, until: nil }.freeze

        # @param store [Store::Database]
        # @param teacher [Integer] an account
        # @return [Array<Hash>] their own, and those that colleagues share with them or have lent them; newest first
        def self.of(store, teacher)
          shared = store.shares.of_account(teacher)
          store.classes.all(of: teacher).map { |school_class| { **school_class.to_h, **shared.fetch(school_class.id, OWN) } }
        end
      end
    end
  end
end
