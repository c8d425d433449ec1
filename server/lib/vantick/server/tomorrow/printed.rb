# frozen_string_literal: true

module Vantick
  module Server
    module Tomorrow
      # What is printed for a day, as a file.
      class Printed < Resource
        get("/api/stacks/:stack_id/stack.pdf") do
          stack = store.stacks.find(input[:stack_id])
          sides = input.fetch(:sides, "both")
          all = DayStack.new(store, stack)
          content_type "application/pdf"
          headers "content-disposition" => %(inline; filename="#{stack.day}.pdf")
          duplex = sides == "one" ? :Simplex : :DuplexFlipLongEdge
          Documents::PdfWriter.write(all.pages(sides), title: all.title, made_at: Time.iso8601(stack.made_at), duplex:)
        end
      end
    end
  end
end
