# frozen_string_literal: true

module Vantick
  module Server
    module Desks
      # A teacher's side of the desks: opening and closing them, who is there, and the children's pictures.
      class OpenDesks < Handler
        KEPT = %i[id class_id check_id lesson_id kind stage step child_ids code opened_at expires_at closed_at].freeze

        def list_desks
          store.classes.find(params.class_id)
          { desks: store.desks.all(params.class_id, limit: params.limit).map { |desk| desk(desk) } }
        end

        def open_desk
          opening = Opening.new(store, store.classes.find(params.class_id), Clock.now)
          desk(opening.open(body.to_h))
        end

        def watch_desk
          desk = store.desks.find(params.desk_id)
          LiveView.new(desk, store, presence, Clock.now).to_h(desk(desk))
        end

        def remove_desk
          desk = store.desks.find(params.desk_id)
          store.desks.seats(desk, Clock.now).each { |seat| presence.forget(seat) }
          Store::Removing.desk(store, desk, now)
        end

        def close_desk = desk(store.desks.close(params.desk_id, now))

        def read_keys
          store.classes.find(params.class_id)
          keys = store.keys.of_class(params.class_id)
          presence.end_rests(keys.keys)
          { keys: keys.map { |child_id, pictures| { child_id:, pictures: } } }
        end

        def renew_key
          known = store.classes.children(params.class_id).any? { |child| child.id == params.child_id }
          raise Store::Missing.new("child", params.child_id) unless known

          presence.end_rests([params.child_id])
          { child_id: params.child_id, pictures: store.keys.renew(params.child_id) }
        end

        # Whoever sits there in a child's name has to come in again.
        def end_seat
          presence.gone({ desk_id: params.desk_id, child_id: params.child_id })
          { left: store.desks.send_away(params.desk_id, params.child_id) }
        end

        private

        def presence = env.fetch(Access::DevicePresence::KEY)

        def desk(desk)
          open = desk.closed_at.nil? && desk.expires_at > now
          { **desk.slice(*KEPT), open:, address: "#{address}/join", reachable: reachable?,
            qr: open ? Documents::QrPath.of("#{address}/join?code=#{desk.code}") : "" }
        end
      end
    end
  end
end
