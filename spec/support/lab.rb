# frozen_string_literal: true

# The front end's own logic, part by part, in the browser that shows it.
module Lab
  HERE = "const { server, used, vue, api, machine } = lab; const { next, quiet } = server;"

  # @param script [String] the body of an async function; `lab` holds the parts, `given` what is handed to it
  # @return [Object] what it returns, as plain data
  # @raise [RuntimeError] what it throws
  def lab(script, **given)
    visit "/lab/"
    done, found = browser.execute_async_script(<<~JS, given)
      const [given, tell] = arguments;
      const lab = window.lab;
      (async () => { #{HERE} #{script} })()
        .then((value) => tell([true, JSON.stringify(value ?? null)]), (error) => tell([false, String(error && error.stack || error)]));
    JS
    raise found unless done

    JSON.parse(found, symbolize_names: true)
  end

  def browser = page.driver.browser
end

RSpec.configure do |config|
  config.define_derived_metadata(file_path: %r{/spec/web/}) { |metadata| metadata[:type] = :lab }
  config.include Capybara::DSL, type: :lab
  config.include Lab, type: :lab
  config.before(type: :lab) { browser.manage.timeouts.script_timeout = 20 }
  config.after(type: :lab) do
    BrowserHelpers.keep_counts
    Capybara.reset_sessions!
  end
end
