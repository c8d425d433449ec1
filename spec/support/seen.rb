# frozen_string_literal: true

require "capybara/selenium/driver"

# What is seen of a page is asked of Chromium itself. Selenium's own scripts work it out anew from the style of all that a thing lies
# in and holds, which took a third of what pages cost in tests.
module Seen
  # What is chosen from has no place of its own while it is closed.
  SHOWN = <<~JS.tr("\n", " ")
    function (one) {
      const placed = one.localName === "option" ? one.closest("select") : one;
      return placed.checkVisibility({ opacityProperty: true, visibilityProperty: true })
        && [...placed.getClientRects()].some((box) => box.width > 0 || box.height > 0);
    }
  JS
  # A line for each block, as Selenium has it.
  WORDS = <<~'JS'
    const words = arguments[0].innerText;
    return words === undefined ? null : words.replace(/[ \t\u00a0]+/g, " ").replace(/ ?\n[ \n]*/g, "\n").trim();
  JS

  # One by one.
  module Alone
    def visible? = driver.execute_script("return (#{SHOWN})(arguments[0])", self)

    def visible_text = driver.execute_script(WORDS, self) || super
  end

  # Many at once.
  module Together
    private

    def is_displayed_atom = SHOWN
  end
end

Capybara::Selenium::ChromeNode.prepend(Seen::Alone)
[Capybara::Selenium::Driver, Capybara::Selenium::Node].each { |finder| finder.prepend(Seen::Together) }
