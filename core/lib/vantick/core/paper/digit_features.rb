# frozen_string_literal: true

module Vantick
  module Core
    module Paper
      # A handwritten digit as numbers that a classifier can weigh: cut out, brought to one size, centred by its weight, and then how
      # strongly its edges run in each of eight directions, in each of seven by seven cells (histograms of oriented gradients, Dalal and
      # Triggs 2005; from memory).
      module DigitFeatures
        # Points of a side of the picture that is looked at, and of the digit in it.
        SIDE = 28
        DIGIT = 20
        CELLS = 7
        CELL = SIDE / CELLS
        WAYS = 8
        COUNT = CELLS * CELLS * WAYS
        # Ink darker than this part of the way from paper is the digit's (0 paper, 1 ink).
        INK = 0.3

        class << self
          # @param ink [Array<Array<Float>>] rows, 0 paper to 1 ink
          # @return [Array<Float>, nil] {COUNT} numbers; nothing where there is no ink
          def of(ink)
            normal = normalized(ink) or return
            cells = histograms(normal)
            (0...CELLS).flat_map { |down| (0...CELLS).flat_map { |across| evened(cells, down, across) } }
          end

          # @param ink [Array<Array<Float>>]
          # @return [Array<Float>, nil] {SIDE} by {SIDE}, row by row
          def normalized(ink)
            top, bottom = ink.each_index.select { |row| ink[row].any? { |value| value > INK } }.minmax
            return unless top

            left, right = ink.first.each_index.select { |column| (top..bottom).any? { |row| ink[row][column] > INK } }.minmax
            centred(scaled(ink, top, left, [bottom - top, right - left].max + 1))
          end

          private

          # The digit brought to one size: each point is the mean of those that fall on it.
          def scaled(ink, top, left, side)
            step = side / DIGIT.to_f
            Array.new(DIGIT) do |row|
              Array.new(DIGIT) { |column| mean(ink, top + (row * step), left + (column * step), step) }
            end
          end

          def mean(ink, top, left, step)
            rows = (top.floor..[(top + step).ceil - 1, top.floor].max)
            columns = (left.floor..[(left + step).ceil - 1, left.floor].max)
            values = rows.flat_map { |row| columns.map { |column| (ink[row] || [])[column] || 0.0 } }
            values.sum / values.length
          end

          def centred(digit)
            weight = digit.sum(&:sum)
            return if weight.zero?

            down = digit.each_with_index.sum { |row, at| row.sum * at } / weight
            across = digit.sum { |row| row.each_with_index.sum { |value, at| value * at } } / weight
            top, left = [down, across].map { |middle| ((SIDE / 2) - middle - 0.5).round.clamp(0, SIDE - DIGIT) }
            placed(digit, top, left)
          end

          def placed(digit, top, left)
            all = Array.new(SIDE * SIDE, 0.0)
            digit.each_with_index { |row, down| row.each_with_index { |value, across| all[((top + down) * SIDE) + left + across] = value } }
            all
          end

          # In each cell, how strongly edges run each way; a direction between two is shared out between them.
          def histograms(all)
            cells = Array.new(CELLS * CELLS) { Array.new(WAYS, 0.0) }
            (1...(SIDE - 1)).each do |row|
              (1...(SIDE - 1)).each { |column| add(cells[(row / CELL * CELLS) + (column / CELL)], all, (row * SIDE) + column) }
            end
            cells
          end

          def add(cell, all, place)
            across = all[place + 1] - all[place - 1]
            down = all[place + SIDE] - all[place - SIDE]
            return if across.zero? && down.zero?

            way = ((Math.atan2(down, across) / (2 * Math::PI)) % 1) * WAYS
            first = way.floor % WAYS
            strong = Math.sqrt((across * across) + (down * down))
            cell[first] += strong * (1 - (way - way.floor))
            cell[(first + 1) % WAYS] += strong * (way - way.floor)
          end

          # Beside what its neighbours have, so that strong and weak pencils count alike.
          def evened(cells, down, across)
            near = [down - 1, down, down + 1].product([across - 1, across, across + 1]).filter_map do |row, column|
              cells[(row * CELLS) + column] if row.between?(0, CELLS - 1) && column.between?(0, CELLS - 1)
            end
            size = Math.sqrt(near.sum { |cell| cell.sum { |value| value * value } } / near.length) + 0.25
            cells[(down * CELLS) + across].map { |value| value / size }
          end
        end
      end
    end
  end
end
