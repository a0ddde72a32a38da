# frozen_string_literal: true

require 'digest/md5'

module Web
  # The shipped files: icons to stand in a page, and addresses that change with their content.
  module Assets
    FOLDER = File.join(__dir__, 'public')
    STAMPS = Dir.chdir(FOLDER) {
      Dir['{css,js,vendor}/*.*', '*.svg'].to_h { |path|
        [path, "/#{path}?#{Digest::MD5.file(path).hexdigest[0, 8]}"]
      }
    }.freeze
    ICONS = Dir[File.join(FOLDER, 'vendor', 'icons', '*.svg')].to_h { |path| [File.basename(path, '.svg'),
      File.read(path).sub('<svg', '<svg aria-hidden="true"')] }.freeze

    module_function

    # @param name [String] a file in vendor/icons @return [String] SVG
    def icon(name)
      ICONS.fetch(name)
    end

    def stamped(path)
      STAMPS.fetch(path)
    end
  end
end
