# frozen_string_literal: true

module Vantick
  module Server
    module Desks
      # A teacher's side of the desks: opening and closing them, who is there, and the children's pictures.
      class OpenDesks < Resource
        KEPT = %i[id class_id check_id lesson_id kind stage step child_ids code opened_at expires_at closed_at].freeze

        get "/api/classes/:class_id/desks" do
          store.classes.find(input[:class_id])
          answer_json({ desks: store.desks.all(input[:class_id], limit: input.fetch(:limit, 20)).map { |desk| desk(desk) } })
        end

        post "/api/classes/:class_id/desks" do
          opening = Opening.new(store, store.classes.find(input[:class_id]), Clock.now)
          answer_json(desk(opening.open(sent)), code: 201)
        end

        get "/api/desks/:desk_id" do
          desk = store.desks.find(input[:desk_id])
          answer_json(LiveView.new(desk, store, presence, Clock.now).to_h(desk(desk)))
        end

        delete "/api/desks/:desk_id" do
          desk = store.desks.find(input[:desk_id])
          store.desks.seats(desk, Clock.now).each { |seat| presence.forget(seat) }
          answer_json(Store::Removing.desk(store, desk, now))
        end

        post("/api/desks/:desk_id/closing") { answer_json(desk(store.desks.close(input[:desk_id], now))) }

        get "/api/classes/:class_id/keys" do
          store.classes.find(input[:class_id])
          keys = store.keys.of_class(input[:class_id])
          presence.end_rests(keys.keys)
          answer_json({ keys: keys.map { |child_id, pictures| { child_id:, pictures: } } })
        end

        post "/api/classes/:class_id/children/:child_id/keys" do
          known = store.classes.children(input[:class_id]).any? { |child| child[:id] == input[:child_id] }
          raise Store::Missing.new("child", input[:child_id]) unless known

          presence.end_rests([input[:child_id]])
          answer_json({ child_id: input[:child_id], pictures: store.keys.renew(input[:child_id]) })
        end

        # Whoever sits there in a child's name has to come in again.
        post "/api/desks/:desk_id/children/:child_id/leaving" do
          presence.gone({ desk_id: input[:desk_id], child_id: input[:child_id] })
          answer_json({ left: store.desks.send_away(input[:desk_id], input[:child_id]) })
        end

        private

        def presence = env.fetch(Access::DevicePresence::KEY)

        def desk(desk)
          open = desk[:closed_at].nil? && desk[:expires_at] > now
          { **desk.slice(*KEPT), open:, address: "#{address}/join", reachable: reachable?,
            qr: open ? Documents::QrPath.of("#{address}/join?code=#{desk[:code]}") : "" }
        end
      end
    end
  end
end
