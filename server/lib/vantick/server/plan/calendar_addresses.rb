# frozen_string_literal: true

module Vantick
  module Server
    module Plan
      # The private address by which calendars follow the lessons of a class: made, shown and withdrawn.
      class CalendarAddresses < Handler
        def read_calendar_address = address_json(store.calendar_addresses.of_class(params.class_id))

        def make_calendar_address = address_json(store.calendar_addresses.make(params.class_id, now))

        def withdraw_calendar_address
          store.calendar_addresses.withdraw(params.class_id)
          address_json(nil)
        end

        private

        def address_json(key)
          return { address: nil, webcal: nil, qr: "", reachable: reachable? } unless key

          full = "#{address}/api/calendars/#{key}/lessons.ics"
          webcal = full.sub(/\Ahttps?:/, "webcal:")
          { address: full, webcal:, qr: Documents::QrPath.of(webcal), reachable: reachable? }
        end
      end
    end
  end
end
