# frozen_string_literal: true

require 'digest'

module Web
  # The shipped files: icons to stand in a page, and addresses that change with their content.
  module Assets
    FOLDER = File.join(__dir__, 'public')

    module_function

    # @param name [String] a file in vendor/icons @return [String] SVG
    def icon(name)
      @icons ||= {}
      @icons[name] ||= File.read(File.join(FOLDER, 'vendor', 'icons', "#{name}.svg")).sub('<svg', '<svg aria-hidden="true"')
    end

    def stamped(path)
      @stamps ||= {}
      @stamps[path] ||= "/#{path}?#{Digest::MD5.file(File.join(FOLDER, path)).hexdigest[0, 8]}"
    end
  end
end
