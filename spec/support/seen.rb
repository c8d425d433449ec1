# frozen_string_literal: true

require "capybara/selenium/driver"

# What is found and seen on a page is asked of Chromium itself, at once: what there is, whether it is seen and which words it has.
# Asked one thing after the other, by Selenium's own scripts, this was a third of what pages cost in tests.
module Seen
  FUNCTIONS = <<~'JS'
    // What is chosen from has no place of its own while it is closed.
    const shown = (one) => {
      const placed = one.localName === "option" ? one.closest("select") : one;
      return placed.checkVisibility({ opacityProperty: true, visibilityProperty: true })
        && [...placed.getClientRects()].some((box) => box.width > 0 || box.height > 0);
    };
    // A line for each block, as Selenium has it.
    const words = (one) => one.innerText?.replace(/[ \t\u00a0]+/g, " ").replace(/ ?\n[ \n]*/g, "\n").trim() ?? null;
    const all = (format, selector, from) => {
      if (format === "css") return [...from.querySelectorAll(selector)];
      const found = document.evaluate(selector, from, null, XPathResult.ORDERED_NODE_SNAPSHOT_TYPE, null);
      return Array.from({ length: found.snapshotLength }, (_, at) => found.snapshotItem(at));
    };
  JS
  FIND = <<~JS.freeze
    #{FUNCTIONS}
    const [format, selector, from, texts, seen] = arguments;
    const has = (one) => texts.every((text) => one.textContent.toLowerCase().includes(text.toLowerCase()));
    return all(format, selector, from || document).filter(has).map((one) => {
      const visible = seen ? shown(one) : null;
      return [one, visible, texts.length && visible ? words(one) : null];
    });
  JS

  # Of one thing. The words that it was found by are taken once; later they may be others.
  module Alone
    attr_writer :found_words

    def visible? = driver.execute_script("#{FUNCTIONS} return shown(arguments[0])", self)

    def visible_text
      @found_words&.tap { @found_words = nil } || driver.execute_script("#{FUNCTIONS} return words(arguments[0])", self) || super
    end
  end

  # In a page or in a part of it.
  module Together
    private

    def find_by(format, selector, uses_visibility:, texts:, styles:, position:)
      return super if styles || position

      from = native if respond_to?(:native)
      es_context.execute_script(FIND, format.to_s, selector, from, texts, uses_visibility).map do |found, visible, words|
        build_node(found, visible.nil? ? {} : { visible: }).tap { |node| node.found_words = words }
      end
    end
  end
end

Capybara::Selenium::ChromeNode.prepend(Seen::Alone)
[Capybara::Selenium::Driver, Capybara::Selenium::Node].each { |finder| finder.prepend(Seen::Together) }
