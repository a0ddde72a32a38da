# frozen_string_literal: true

module Web
  # How a studio is shared over a network. address: it listens on · names: hosts it may be asked as, beside this machine's
  # certificate, key: files for HTTPS, or nil · https: whether browsers reach it by HTTPS, by its own certificate or a proxy's
  Sharing = Core::Value.define(:address, names: [], certificate: nil, key: nil, https: false) do
    # @param variables [#[]] as bin/start sets them @return [Sharing]
    def self.from_environment(variables)
      certificate, key = %w[EAGER_CERTIFICATE EAGER_KEY].map { |name| variables[name] unless variables[name].to_s.empty? }
      new(address: variables['EAGER_ADDRESS'], names: variables['EAGER_NAMES'].to_s.split, certificate: certificate, key: key,
        https: variables['EAGER_HTTPS'] == 'true')
    end

    # @return [Array<String>]
    def hosts
      [*names, PhoneAccess.own_address].compact
    end

    # @return [String] where it is reached; behind a proxy, where the proxy finds it
    def url(port)
      return "https://#{reached_as}:#{port}" if certificate

      "http://#{https ? address : reached_as}:#{port}"
    end

    # @return [String] a name it was given, else the address it listens on, else this machine's own in the network
    def reached_as
      names.first || (address unless %w[0.0.0.0 ::].include?(address)) || PhoneAccess.own_address || address
    end

    # @return [Boolean] whether passwords cross the network readable
    def readable?
      !https && !%w[127.0.0.1 ::1].include?(address)
    end
  end
end
