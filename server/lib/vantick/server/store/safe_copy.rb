# frozen_string_literal: true

require "fileutils"
require "open3"

module Vantick
  module Server
    module Store
      # Copies of a school's file, whole at every moment: made beside their name and given it when they are complete, checked
      # before they take the place of anything. What was there is never thrown away.
      module SafeCopy
        # @param why [String] in words
        class Failed < StandardError; end

        FOLDER = "copies"
        # What the name of a copy that is being made ends in, before the process that makes it.
        PART = ".part-"

        class << self
          # Copies while others read and write.
          # @param path [String] of the school's file
          # @param to [String]
          # @return [String] where the copy lies
          # @raise [Failed, Unusable]
          def backup(path, to)
            raise Failed, "There is no file #{path} yet. Nothing was copied." unless File.file?(path)
            raise Failed, "#{to} is already there. Choose another name, so that no copy is lost." if File.exist?(to)

            open_for(path) { |database| write(database, to) }
          end

          # Puts a copy in the place of the school's file.
          # @param copy [String]
          # @param path [String] of the school's file, that nobody works with now
          # @param stamp [String] what the name of the replaced file ends in
          # @return [String, nil] where the file that was there lies now
          # @raise [Failed, Unusable]
          # @param other [Boolean] whether it may be another school's
          def restore(copy, path, stamp:, other: false)
            raise Failed, "There is no file #{copy}." unless File.file?(copy)

            hold = FileLock.alone(path)
            fresh = part_of(path)
            open_for(copy) do |database|
              raise Unusable.new(:foreign, copy) unless SchoolFile.checked_version(database, copy).positive?
              raise Failed, "#{copy} belongs to another school. Add --other-school if you mean it." unless other || SameSchool.of?(database,
                                                                                                                                   path)

              write(database, fresh)
            end
            Replayed.erase(fresh, path) unless other
            replace(path, fresh, "#{path}.before-restore-#{stamp}")
          ensure
            hold&.close
          end

          # Makes room for a new file, where nobody works with the one that is there.
          # @param path [String]
          # @return [String, nil] where the one that was there lies now
          # @raise [Unusable]
          def move_aside(path)
            hold = FileLock.alone(path)
            return unless File.exist?(path)

            before = "#{path}.before"
            SchoolFile::BESIDE.each do |ending|
              FileUtils.rm_f("#{before}#{ending}")
              File.rename("#{path}#{ending}", "#{before}#{ending}") if File.exist?("#{path}#{ending}")
            end
            before
          ensure
            hold&.close
          end

          # @param path [String] of the school's file
          # @param name [String]
          # @return [String] a place among its copies
          def in_folder(path, name)
            folder = File.join(File.dirname(path), FOLDER)
            FileUtils.mkdir_p(folder, mode: 0o700)
            File.join(folder, name)
          end

          # @param database [Sequel::Database]
          # @param to [String]
          # @yieldparam copy [Sequel::Database] whether it is the one that was wanted; else it is dropped
          # @return [String]
          def write(database, to)
            FileUtils.mkdir_p(File.dirname(to), mode: 0o700)
            check_room(database, to)
            part = part_of(to)
            File.open(part, File::CREAT | File::TRUNC | File::WRONLY, SchoolFile::OWN_ALONE).close
            database.run("VACUUM INTO #{database.literal(part)}")
            wanted = open_for(part) { |copy| whole?(copy) && (!block_given? || yield(copy)) }
            settle(part, to) if wanted
            to
          rescue Sequel::DatabaseError, SQLite3::Exception, SystemCallError => e
            raise Unusable.new(SchoolFile.why(e) || raise, to)
          ensure
            FileUtils.rm_f(part) if part
          end

          # Reads in a copy.
          # @param path [String]
          # @yieldparam copy [Sequel::Database]
          # @return [Object] what the block gives
          # @raise [Unusable]
          def look(path, &) = open_for(path, &)

          # Changes a copy: in a part beside it, which then takes its place. There is a whole one at every moment, and nothing of what it
          # was is left.
          # @param path [String]
          # @yieldparam copy [Sequel::Database]
          # @raise [Unusable]
          def change(path)
            part = part_of(path)
            open_for(path) do |database|
              check_room(database, part)
              database.run("VACUUM INTO #{database.literal(part)}")
            end
            File.chmod(SchoolFile::OWN_ALONE, part)
            open_for(part) { |copy| changed(copy) { yield copy } }
            settle(part, path)
            SchoolFile::BESIDE.drop(1).each { |ending| FileUtils.rm_f("#{path}#{ending}") }
          rescue Sequel::DatabaseError, SQLite3::Exception, SystemCallError => e
            raise Unusable.new(SchoolFile.why(e) || raise, path)
          ensure
            FileUtils.rm_f(Dir["#{part}*"]) if part
          end

          # @param folder [String]
          # @return [Integer, nil] bytes that are free there; nothing where it cannot be told
          def free(folder)
            output, status = Open3.capture2("df", "-Pk", folder, err: File::NULL)
            status.success? ? Integer(output.lines.last.split[3], 10) * 1024 : nil
          rescue SystemCallError, ArgumentError, TypeError
            nil
          end

          private

          def part_of(path) = "#{path}#{PART}#{Process.pid}-#{Thread.current.object_id}"

          # Written anew after the change, so that nothing of what went lies in what it left free.
          def changed(copy)
            yield
            copy.run("VACUUM")
            raise SQLite3::CorruptException, "the changed copy is damaged" unless whole?(copy)
          end

          # A copy must not take the room that the school's own file needs: there has to be as much again.
          def check_room(database, to)
            pages, size = %w[page_count page_size].map { |name| database.fetch("PRAGMA #{name}").single_value }
            left = free(File.dirname(to))
            raise Unusable.new(:full, to) if left && left < pages * size * 2
          end

          def whole?(copy) = copy.fetch("PRAGMA integrity_check(1)").single_value == "ok"

          # On the disk before it has its name.
          def settle(part, to)
            File.open(part, &:fsync)
            File.rename(part, to)
            File.open(File.dirname(to), &:fsync)
          end

          def open_for(path)
            database = Sequel.connect(adapter: "sqlite", database: path, keep_reference: false)
            yield database
          rescue Sequel::Error, SQLite3::Exception => e
            raise Unusable.new(SchoolFile.why(e) || raise, path)
          ensure
            database&.disconnect
          end

          # The old file keeps a second name before the new one takes the first, so that there is always a whole one.
          def replace(path, fresh, before)
            there = File.exist?(path)
            if there
              fold_in(path)
              File.link(path, before)
            end
            %w[-wal -shm].each { |ending| File.rename("#{path}#{ending}", "#{before}#{ending}") if File.exist?("#{path}#{ending}") }
            settle(fresh, path)
            there ? before : nil
          end

          # What is only in the log yet goes into the file, where the file can be read at all.
          def fold_in(path)
            open_for(path) { |database| database.run("PRAGMA wal_checkpoint(TRUNCATE)") }
          rescue Unusable
            nil
          end
        end
      end
    end
  end
end
