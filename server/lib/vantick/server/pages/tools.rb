# frozen_string_literal: true

require "open3"

module Vantick
  module Server
    # What turns files from copiers and phones into pages: decoding, turning and cutting are other programs' work.
    module Pages
      # The programs and libraries that paper is read with, and what Debian calls them.
      module Tools
        NEEDED = { "pdftoppm" => "poppler-utils", "zbarimg" => "zbar-tools" }.freeze
        LIBRARY = "libvips42"

        class << self
          # @return [Array<String>] Debian's packages that are not here
          def missing = [*NEEDED.reject { |program, _| program?(program) }.values, (LIBRARY unless vips?)].compact

          private

          def program?(name) = ENV.fetch("PATH", "").split(File::PATH_SEPARATOR).any? { |folder| File.executable?(File.join(folder, name)) }

          # Tried in a process of its own, as a library that is not there cannot be asked for twice.
          def vips?
            return @vips unless @vips.nil?

            @vips = system(RbConfig.ruby, "-rbundler/setup", "-e", "require 'vips'", out: File::NULL, err: File::NULL)
          end
        end
      end
    end
  end
end
