# frozen_string_literal: true

module Vantick
  module Server
    module Plan
      # The private address by which calendars follow the lessons of a class: made, shown and withdrawn.
      class CalendarAddresses < Resource
        get("/api/classes/:class_id/calendar-address") { answer_json(address_json(store.calendar_addresses.of_class(input[:class_id]))) }

        post("/api/classes/:class_id/calendar-address") { answer_json(address_json(store.calendar_addresses.make(input[:class_id], now))) }

        delete "/api/classes/:class_id/calendar-address" do
          store.calendar_addresses.withdraw(input[:class_id])
          answer_json(address_json(nil))
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
