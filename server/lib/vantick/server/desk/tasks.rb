# frozen_string_literal: true

module Vantick
  module Server
    module Desk
      # A child's own side: joining with the class code and the pictures, tasks, answers, and the dials they can read.
      class Tasks < Handler
        NOT_YOURS = "Those aren't your pictures. Try again, or ask your teacher."
        RESTS = "Wait %<wait>s, or ask your teacher for your pictures."

        def find_desk
          desk = store.desks.coded(body.code, time)
          school_class = store.classes.find(desk.class_id)
          children = school_class.children.select { |child| desk.child_ids.nil? || desk.child_ids.include?(child.id) }
          { code: desk.code, class_name: school_class.name, children:, pictures: Store::Keys::PICTURES }
        end

        def read_seat
          seated = (seat = Access::Seat.of(env)) ? seat.readable : false
          { seated:, why: seated ? nil : Access::Guard::LOST[Access::Seat.lost(env)] }
        end

        def take_seat
          desk = store.desks.coded(body.code, time)
          child = child_at(desk)
          check_key(child)
          headers = {}
          Access::Seat.give(headers, store.desks.sit(desk.id, child.id, step: step_of(desk, child), at: now))
          reply({ child: child.slice(:id, :name) }, headers:)
        end

        def read_state
          look
          presence.saw(seat, time)
          view.state(child)
        end

        def submit_answers
          presence.saw(seat, time, doing: true)
          given = body.answers.map { |answer| { **answer, answer: plain(answer.answer) } }
          taken = asked_at.take(body.turn_id, given, late: body.late)
          { **view.taken(taken), **view.going_on(device_session.prepare, held: body.held) }
        end

        def request_hint
          look
          presence.saw(seat, time, doing: true)
          taken = device_session.show(body.turn_id)
          { **view.helped(taken), **view.going_on(device_session.prepare, held: body.held) }
        end

        def start_round
          unfit("We're finished for now.", :round) unless seat.open
          presence.saw(seat, time, doing: true)
          repeatable = !device_session.fixed? && !device_session.baseline?
          @device_session = device_session.again_from_the_start if repeatable && device_session.over?
          @view = nil
          view.state(child)
        end

        def read_own_record
          look
          conventions = device_session.conventions
          answers = store.answers.of_child(seat.child_id).map { |answer| Store::MarkedAnswers.from_row(answer, conventions) }
          dials = Core::Desk::Readable.of(answers).map { |dial| dial_json(dial) }
          { dials: }
        end

        # What the device kept and could not be taken is shown to the teacher.
        def report_lost_answers
          presence.lost(seat, body.answers)
          { told: true }
        end

        def leave_desk
          store.desks.leave(seat.id)
          headers = {}
          Access::Seat.take(headers)
          reply({ left: true }, headers:)
        end

        private

        def seat = env.fetch(Access::Seat::KEY)

        # After the end answers may still arrive, but nothing is shown any more.
        def look = seat.readable || refuse(401, Access::Guard::SIT_DOWN, nil)

        def presence = env.fetch(Access::DevicePresence::KEY)

        def time = @time ||= Clock.now

        def device_session = @device_session ||= Server::Desk::DeviceSession.new(seat, store:, presence:, now: time)

        # An answer kept on a device may be to a task of another desk, at which the same child sat before.
        def asked_at
          at = store.desks.seat_of_turn(seat.child_id, body.turn_id, time)
          return device_session if at.nil? || at.id == seat.id

          Server::Desk::DeviceSession.new(at, store:, presence:, now: time)
        end

        def view = @view ||= DeskView.new(device_session)

        def child = store.classes.child(seat.child_id)

        def plain(text) = text.scrub("\uFFFD").tr("\u0000", "\uFFFD")

        def dial_json(time)
          { words: Core::Wording::Phrase.usual(time, device_session.conventions), hour_hand_degrees: time.hour_hand_degrees,
            minute_hand_degrees: time.minute_hand_degrees }
        end

        def child_at(desk)
          found = store.classes.children(desk.class_id).find { |child| child.id == body.child_id }
          return found if found && (desk.child_ids.nil? || desk.child_ids.include?(found.id))

          unfit("Your name is not on this list. Ask your teacher.", :child_id)
        end

        # The same is said of every wrong key; after some of them the card rests.
        def check_key(child)
          device = Http::ClientAddress.device(env)
          left = presence.try_key(child.id, device)
          rests(left) if left.positive?
          return presence.right_key(child.id, device) if store.keys.of_child(child.id) == body.pictures

          presence.wrong_key(child.id, device)
          unfit(NOT_YOURS, :pictures)
        end

        def rests(seconds)
          refuse(429, format(RESTS, wait: Http::Backoff.in_words(seconds)), :pictures, headers: { "retry-after" => seconds.to_s })
        end

        # The desk's step, or the child's own next one.
        def step_of(desk, child)
          return desk.step if desk.step || Server::Desk::DeviceSession::FIXED.include?(desk.kind)

          progress = Store::ProgressCache.of(store.classes.find(desk.class_id), store, today: Store::SchoolDay.today)
          (progress.next_for(child.id) || Core::Curriculum::Step.hardest).id.to_s
        end
      end
    end
  end
end
