# frozen_string_literal: true

require "json"
require "net/http"
require "securerandom"
require "vantick/core"
require "yaml"

module Vantick
  # Made-up children at a desk of the running demo, who answer as they are simulated to.
  class Crowd
    # Answers at the end that are somebody's who needs somebody; minutes that they are off.
    ASTRAY = 3
    OFF = 145
    TABLE = YAML.safe_load_file(File.join(__dir__, "curlew.yml"), symbolize_names: true).freeze

    # @return [Hash] the desk
    attr_reader :desk

    # @param base [String] such as "http://127.0.0.1:4567"
    def initialize(base)
      @uri = URI(base)
      @cookies = {}
    end

    # Opens a desk for practice and lets so many children answer so many tasks.
    # @param step [String]
    # @param tasks [Array<Integer>] for each child that comes, in the order of the register
    # @param astray [Array<String>] who is wrong at the end, in no way that is known
    # @return [Crowd]
    def sit(step:, tasks:, astray: [])
      @astray = astray
      ask(:Post, "/api/session/login", ask(:Get, "/api/session")["demo"])
      @class = ask(:Get, "/api/classes")["classes"].last
      @desk = ask(:Post, "/api/classes/#{@class['id']}/desks", { kind: "practice", step: })
      @class["children"].zip(tasks).each { |child, count| answer(child, count) if count }
      self
    end

    # @return [String] where the next child begins
    def door = "/desk?code=#{desk['code']}"

    # @return [Array<String>] a child's pictures
    def pictures_of(child) = keys.find { |key| key["child_id"] == child["id"] }["pictures"]

    # @return [Hash] by name
    def child(name) = @class["children"].find { |child| child["name"] == name }

    private

    def keys = @keys ||= ask(:Get, "/api/classes/#{@class['id']}/keys")["keys"]

    def answer(child, count)
      who = child["id"]
      ask(:Post, "/api/desk/seats", { code: desk["code"], child_id: who, pictures: pictures_of(child) }, who)
      state = ask(:Get, "/api/desk/state", nil, who)
      count.times do |at|
        astray = @astray.include?(child["name"]) && at >= count - ASTRAY
        state = ask(:Post, "/api/desk/answers", answers(state["turn"], child, astray), who)
      end
    end

    def answers(turn, child, astray)
      task = Core::Tasks::Task.find(turn["task"])
      times = times_of(turn["items"].map { |item| item["id"] })
      given = times.map do |id, time|
        { id: SecureRandom.uuid, item_id: id, answer: astray ? off(time, task) : said(child, id, time, task) }
      end
      { turn_id: turn["id"], answers: given }
    end

    # A device is not told what the answer is; the teacher is.
    def times_of(ids)
      items = ask(:Get, "/api/checks/#{desk['check_id']}")["items"].to_h { |item| [item["id"], item["time"]] }
      ids.zip(items.values_at(*ids)).to_h
    end

    def off(text, task)
      other = Core::Dial::DialTime.from_index(task.parse_time(text).dial_time.index + OFF)
      task.write(task.right_answer(other))
    end

    def said(child, id, text, task)
      time = task.parse_time(text)
      names = TABLE[:misreadings].select { |_, children| children.include?(child["name"]) }.keys
      planted = names.map { |name| Core::Reading::Misreading.find(name) }
      Core::Simulation::SimulatedChild.new(misreadings: planted, seed: id, **TABLE.slice(:consistency, :careless)).answer(time, task)
    end

    def ask(method, path, body = nil, who = :teacher)
      request = Net::HTTP.const_get(method).new(path, "content-type" => "application/json", "cookie" => @cookies[who].to_s)
      request.body = JSON.generate(body) if body
      response = Net::HTTP.start(@uri.host, @uri.port) { |http| http.request(request) }
      raise "#{method} #{path}: #{response.body}" unless response.is_a?(Net::HTTPSuccess)

      @cookies[who] = response["set-cookie"].split(";").first if response["set-cookie"]
      JSON.parse(response.body)
    end
  end
end
