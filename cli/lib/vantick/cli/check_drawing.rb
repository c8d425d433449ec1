# frozen_string_literal: true

module Vantick
  class CLI
    # `check-drawing --hour-hand 120 --minute-hand 270`: what a drawn clock shows, and how well.
    class CheckDrawing < Command
      def run(arguments)
        angles = {}
        left = parse(arguments) do |parser|
          parser.on("--hour-hand DEGREES", Float) { |degrees| angles[:hour] = degrees }
          parser.on("--minute-hand DEGREES", Float) { |degrees| angles[:minute] = degrees }
        end
        nothing_left(left)
        missing = %i[hour minute].find { |hand| !angles[hand]&.finite? }
        raise UsageError, "give --#{missing}-hand in degrees clockwise from the twelve, such as --#{missing}-hand 120" if missing

        line(report(Core::Dial::DrawingCheck.new(Core::Dial::Hands.new(angles[:hour], angles[:minute]))))
      end

      private

      def report(check)
        { time: check.time.digital, verdict: check.verdict, offset_degrees: check.offset_degrees.round(2),
          margin_degrees: check.margin_degrees.round(2), reason: check.reason, invites: check.invites }
      end
    end
  end
end
