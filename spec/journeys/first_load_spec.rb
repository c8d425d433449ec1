# frozen_string_literal: true

RSpec.describe "What a page brings with it", :demo do
  # The name of each script that was loaded, and its bytes as they were sent.
  def loaded
    page.execute_script(<<~JS).uniq
      return performance.getEntriesByType("resource").filter(({ name }) => name.endsWith(".js"))
        .map(({ name, encodedBodySize }) => [name, encodedBodySize]);
    JS
  end

  # How small a file may be is WORTH_A_FILE in web/chunks.ts. Each file costs a question; a large one is loaded for pages that need little
  # of it. (Judgement: a fifth above what is sent now.)
  { "/" => [20, 180_000], "/show" => [20, 210_000] }.each do |address, (files, bytes)|
    it "is few scripts, and not long ones, at #{address}" do
      visit address
      expect(page).to have_css("main")
      scripts = loaded
      expect(scripts.length).to be_between(2, files)
      expect(scripts.sum(&:last)).to be_between(50_000, bytes)
    end
  end
end
