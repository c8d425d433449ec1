# frozen_string_literal: true

module Vantick
  module Server
    module Tomorrow
      # What is printed for a day, as a file.
      class Printed < Handler
        def print_stack
          stack = store.stacks.find(params.stack_id)
          all = DayStack.new(store, stack)
          duplex = params.sides == "one" ? :Simplex : :DuplexFlipLongEdge
          pdf = Documents::PdfWriter.write(all.pages(params.sides), title: all.title, made_at: Time.iso8601(stack.made_at), duplex:)
          file(pdf, "#{stack.day}.pdf", shown: true)
        end
      end
    end
  end
end
