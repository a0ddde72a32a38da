# frozen_string_literal: true

module Web
  module Routes
    # A phone beside the laptop on the evening: switched on and off here, asked for its code there.
    module Phones
      def self.registered(app)
        app.post('/classes/:id/phones') do
          raise Store::NotFound.new(:class, id) unless studio.classes.find(id)

          text(:on) == '1' ? let_phones_in(id) : settings.phones.close
          redirect to("/classes/#{id}/live#phones"), 303
        end
        # Reached through the gate alone.
        app.get('/join') do
          pass unless phone?

          page(:join, title: 'Live', said: env[PhoneGate::SAID])
        end
        app.helpers Showing
      end

      # What these routes share.
      module Showing
        def let_phones_in(id)
          settings.phones.open(id, settings.whole)
        rescue PhoneAccess::NoNetwork
          flash('This computer is in no network. Join the network of the venue, or open a hotspot, then try again.', kind: :wrong)
        rescue SystemCallError => e
          flash("Phones could not be let in: #{e.message.sub(/ - .*/, '')}. Is another program using the network port?", kind: :wrong)
        end
      end
    end
  end
end
