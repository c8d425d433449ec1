# frozen_string_literal: true

require "tmpdir"
require "zlib"

module Bench
  WEB = File.expand_path("../../web", __dir__)
  EMPTY_PAGE = File.expand_path("../empty_page", __dir__)
  LOADED = %r{(?:src|href)="(?:\./|/)?((?:assets/)[^"]+)"}
  FONT = %r{url\((?:\./|/)?(?:assets/)?([^)]+\.woff2)\)}

  # What a child's device loads before the first screen: the page, its scripts and styles, and its fonts.
  class DeskFirstLoad < Family
    # @param folder [String] a built front end
    # @param page [String]
    # @return [Hash{String => Integer}] bytes as they are sent, by file; fonts are compressed already
    def sent(folder, page)
      html = File.read(File.join(folder, page))
      files = html.scan(LOADED).flatten.uniq
      styles = files.select { |file| file.end_with?(".css") }
      found = styles.flat_map { |file| File.read(File.join(folder, file)).scan(FONT) }.flatten.uniq
      fonts = found.map { |font| "assets/#{File.basename(font)}" }
      [page, *files].to_h { |file| [file, Zlib.gzip(File.read(File.join(folder, file)), level: 9).bytesize] }
                    .merge(fonts.to_h { |font| [font, File.size(File.join(folder, font))] })
    end

    def built(*command, folder: WEB)
      done = system(*command, chdir: folder, out: File::NULL, err: File::NULL)
      abort "#{command.join(' ')} failed: run bin/install, then try again." unless done
    end

    # What it is measured against, built where the packages are found.
    def empty_page(folder)
      Dir.mktmpdir("empty-page-", WEB) do |page|
        FileUtils.cp_r(File.join(EMPTY_PAGE, "."), page)
        built("npx", "vite", "build", "--config", "vite.config.ts", "--outDir", folder, "--emptyOutDir", folder: page)
      end
    end

    def desk_first_load
      Dir.mktmpdir do |folder|
        empty_page(folder)
        built("bin/build", folder: File.dirname(WEB))
        desk, empty = [sent(File.join(WEB, "dist"), "desk.html"), sent(folder, "index.html")].map { |files| files.values.sum.to_f }
        Taken.new(desk / empty, { "desk, bytes" => desk, "empty page, bytes" => empty })
      end
    end

    measure(:desk_first_load, "bytes of the desk's first screen over an empty page of Vue and BootstrapVueNext", "<= 1.5") do |_seed|
      desk_first_load
    end
  end
end
