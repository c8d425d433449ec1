# frozen_string_literal: true

require "tempfile"

module Vantick
  module Server
    # Paper that a class worked on, read.
    module Paper
      # Files from a copier or a phone: they come in by parts, are read beside the requests, and say how far that is.
      class Scans < Handler
        # Bytes of a file; and files that are not whole yet, with their bytes (judgement: what a school's copiers send in a minute).
        MOST = 100_000_000
        COMING = 12
        MOST_COMING = 400_000_000
        BUSY = "Many files are being read right now. Wait, or delete one that is stuck."

        def list_scans
          { scans: store.scans.of_class(params.class_id).map { |scan| scan_json(scan) }, made_up: !made_up(params.class_id).nil? }
        end

        def make_demo_scan
          sheet = made_up(params.class_id) || unfit("There is no made-up stack for this class.", :class_id)
          build_rows(sheet)
          scan = store.scans.take_made_up(params.class_id, now)
          read
          scan_json(scan)
        end

        def announce_scan
          unfit("A file can have at most 100 megabytes. Add it in parts.", :bytes) if body.bytes > MOST
          packages = Pages::Tools.missing
          unfit(format(Pages::Unpacked::WORDS["missing"], packages: packages.join(", ")), :name) if packages.any?

          check_room
          name = body.name.gsub(/[[:cntrl:]]/, " ").strip
          scan_json(store.scans.add(class_id: params.class_id, name:, bytes: body.bytes, made_at: now))
        end

        def send_scan_part
          scan = store.uploads.receive(params.scan_id, body.at, body.data.unpack1("m"))
          read if scan.state == "waiting"
          scan_json(scan)
        end

        def read_scan = whole(store.scans.find(params.scan_id))

        def stop_scan
          scan = store.scans.find(params.scan_id)
          scan = store.scans.update(scan.id, state: "stopped") if %w[coming waiting reading].include?(scan.state)
          whole(scan)
        end

        def remove_scan
          store.scans.remove(params.scan_id)
          { removed: true }
        end

        # A person says whose page it is; or that a page read twice counts after all.
        def name_scan_page
          page = store.scans.page(params.scan_page_id)
          name(page, body.check_id, body.child_id, body.page)
          whole(store.scans.find(page.scan_id))
        end

        # Once a check, a child or a class is back, its paper is read as it was kept.
        def read_page_again
          page = store.scans.page(params.scan_page_id)
          unfit("This page was read already.", :scan_page_id) if page.state == "read"
          read_again(page)
          whole(store.scans.find(page.scan_id))
        end

        private

        def read_again(page)
          found = Pages::ReadPage.new(store, store.scans.find(page.scan_id).class_id).read(store_page(page))
          answers = found.flat_map { |read| read.delete(:answers) || [] }
          store.scans.replace_page(page, found) { add(answers) }
        end

        def check_room
          files, bytes = store.uploads.coming
          unfit(BUSY, :bytes) if files >= COMING || bytes + body.bytes > MOST_COMING
        end

        # The worker reads it, beside the requests.
        def read
          store.jobs.add(Pages::Queue::KIND, {})
          Work::Runner.wake(store)
        end

        def made_up(class_id) = (store.scans.made_up if store.classes.find(class_id).made_up)

        # The check that the made-up children worked on; made once.
        def build_rows(sheet)
          store.checks.coded(sheet[:code])
        rescue Store::Missing
          store.checks.add(class_id: params.class_id, **sheet.slice(:step, :task, :sheet, :times, :code), made_at: now)
        end

        def name(page, check_id, child_id, number)
          unfit("This page has no marks. Enter its answers by hand.", :scan_page_id) unless page.corners
          scan = store.scans.find(page.scan_id)
          check = whose(page, check_id, child_id, scan.class_id)
          named = Pages::ReadPage.new(store, scan.class_id).named(store_page(page).picture, page.corners, check, child_id, number)
          unfit("This sheet doesn't have that page.", :page) if named[:pieces].empty?
          store.scans.name_page(page.id, check_id:, child_id:, page: number, pieces: named[:pieces]) { add(named[:answers]) }
        end

        # Whoever left the class since may be named where the page itself says so.
        def whose(page, check_id, child_id, class_id)
          left = [page.check_id, page.child_id] == [check_id, child_id] && store.register.was_here?(child_id, class_id)
          child_here(child_id, class_id) unless left
          check_here(check_id, class_id)
        end

        def check_here(check_id, class_id)
          store.checks.find(check_id).tap do |check|
            unfit("This check belongs to another class.", :check_id) if check.class_id != class_id
          end
        end

        def child_here(child_id, class_id)
          children = store.classes.children(class_id).map(&:id)
          unfit("This child isn't in the class of this file.", :child_id) unless children.include?(child_id)
        end

        def add(answers) = (store.answers.add_all(answers, answered_at: now) if answers.any?)

        # The page as it was kept.
        # @return [Pages::Unpacked::Page]
        def store_page(page)
          jpeg = store.scans.picture(:scan_pages, page.id)
          unfit("This page's picture is gone. Scan it again.", :scan_page_id) unless jpeg
          Tempfile.create("page") do |file|
            file.binmode
            file.write(jpeg)
            file.flush
            found = Pages::Unpacked.new(file.path, kept: true).enum_for(:each).filter_map { |_, unpacked| unpacked }.first
            return Pages::Unpacked::Page.new(number: page.number, picture: found.picture, jpeg:)
          end
        end

        def scan_json(scan)
          { **scan.slice(:id, :class_id, :name, :made_at, :state, :trouble, :pages, :bytes, :received), done: store.scans.done(scan.id),
            **store.pieces.counts(scan.id) }
        end

        def whole(scan)
          read, others = store.scans.pages(scan.id).partition { |page| page.state == "read" }
          names = store.classes.children(scan.class_id).to_h { |child| [child.id, child.name] }
          { scan: scan_json(scan), read: read.length, check_ids: read.map(&:check_id).uniq, missing: missing(names, read),
            children: names.values_at(*read.map(&:child_id).uniq).compact, others: others.map { |page| unread(page) } }
        end

        def unread(page) = { **page.to_hash.except(:scan_id), child_id: (page.child_id if page.check_id) }

        # Children of its checks whose paper is in no file: each may have been photographed alone.
        def missing(names, read)
          checks = read.map(&:check_id).uniq.map { |id| store.checks.find(id) }
          children = names.map { |id, name| Store::Rows::ChildName.of({ id:, name: }) }
          asked = checks.flat_map { |check| Views::CheckView.questions(check, children, []).map { |child| child[:id] } }.uniq
          names.slice(*(asked - store.scans.children_of(checks.map(&:id)))).values
        end
      end
    end
  end
end
