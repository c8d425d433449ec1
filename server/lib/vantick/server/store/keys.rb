# frozen_string_literal: true

require "securerandom"

module Vantick
  module Server
    module Store
      # Three pictures for each child, in order, by which they are known at a desk. A teacher can show them again, so they
      # are kept as they are; they open a child's own tasks and nothing else.
      class Keys
        PICTURES = Core::Desk::DeskTask::WORDS[:pictures]
        LENGTH = 3

        def initialize(database)
          @db = database
        end

        # @param class_id [Integer]
        # @return [Hash{Integer => Array<String>}] by child; made where there are none yet
        def of_class(class_id)
          @db.transaction do
            present = @db[:children].where(class_id:, left_at: nil).order(:position)
            children = present.all
            children.each { |child| renew(child[:id]) unless child[:pictures] }
            present.select_hash(:id, :pictures).transform_values(&:split)
          end
        end

        # @return [Array<String>, nil]
        def of_child(child_id) = @db[:children].where(id: child_id).get(:pictures)&.split

        # Whoever came with the old ones is out.
        # @return [Array<String>] other pictures than anybody else of the class has
        def renew(child_id)
          @db.transaction do
            Desks.new(@db).send_away_everywhere(child_id)
            draw(child_id)
          end
        end

        private

        def draw(child_id)
          class_id = @db[:children].where(id: child_id).get(:class_id)
          taken = @db[:children].where(class_id:).exclude(pictures: nil).select_map(:pictures)
          pictures = loop do
            drawn = PICTURES.sample(LENGTH, random: SecureRandom)
            break drawn unless taken.include?(drawn.join(" "))
          end
          @db[:children].where(id: child_id).update(pictures: pictures.join(" "))
          pictures
        end
      end
    end
  end
end
