# frozen_string_literal: true

module Web
  module Routes
    # The studio's settings.
    module Settings
      BACK = %r{\A/(?!/)}

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
          studio.update(currency: chosen) if chosen
          redirect to('/stockroom/suppliers'), 303
        end
        app.post('/settings/theme') do
          chosen = %w[light dark].find { |known| known == text(:theme) }
          response.set_cookie('theme', value: chosen, path: '/', same_site: :strict, httponly: true, max_age: 31_536_000) if chosen
          redirect to(Settings.back(text(:back))), 303
        end
      end

      # Only an address on this site.
      def self.back(address)
        BACK.match?(address) ? address : '/'
      end
    end
  end
end
