# frozen_string_literal: true

module Web
  # Refuses requests larger than any list or file the studio reads.
  class BodyLimit
    MOST_BYTES = 5_000_000

    def initialize(app)
      @app = app
    end

    def call(env)
      return @app.call(env) if env['CONTENT_LENGTH'].to_i <= MOST_BYTES

      [413, { 'content-type' => 'text/plain; charset=utf-8' }, ["That is more than #{MOST_BYTES / 1_000_000} MB. Send a shorter list or a smaller file.\n"]]
    end
  end
end
