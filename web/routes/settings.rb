# frozen_string_literal: true

module Web
  module Routes
    # The studio's settings.
    module Settings
      # Only an address on this site, of a length that a header may have.
      BACK = %r{\A/(?![/\\])[\x21-\x7e]{0,400}\z}

      def self.registered(app)
        app.post('/settings/unit') do
          chosen = %w[mm in].find { |known| known == text(:unit) }
          studio.update(unit: chosen) if chosen
          redirect to(Settings.back(text(:back))), 303
        end
        app.post('/settings/open-rings') do
          chosen = %w[warn forbid].find { |known| known == text(:open_rings) }
          studio.update(open_rings: chosen) if chosen
          redirect to(Settings.back(text(:back))), 303
        end
        app.post('/settings/currency') do
          chosen = Core::Money::DIGITS.keys.find { |known| known == text(:currency) }
          if chosen && chosen != library.settings.currency
            studio.market.change_currency(chosen)
            flash("All prices are now in #{chosen}, with the same figures as before: 4.50 stays 4.50. " \
                  'Choosing the old currency again undoes this.')
          end
          redirect to('/stockroom/suppliers'), 303
        end
        app.post('/settings/theme') do
          chosen = %w[light dark].find { |known| known == text(:theme) }
          response.set_cookie('theme', value: chosen, path: '/', same_site: :strict, httponly: true, max_age: 31_536_000) if chosen
          redirect to(Settings.back(text(:back))), 303
        end
      end

      def self.back(address)
        BACK.match?(address) ? address : '/'
      end
    end
  end
end
