# frozen_string_literal: true

module Application
  # Commands about the studio in a folder: their options, the studio itself, and what they say.
  class FolderCommands
    # Not a usable answer: what the command line ends with.
    REFUSED = 2

    # @param say [#call] @param refuse [#call] with a text; both answer an exit status @param usual [String] the folder where none is given
    def initialize(say:, refuse:, usual:)
      @say = say
      @refuse = refuse
      @usual = usual
    end

    private

    # @param valued [Array<String>] options that have a value @param flags [Array<String>] those that have none
    # @return [(Hash, Array<String>), nil] options with their values, and the rest; nil where one is not known
    def split(arguments, valued, flags = [])
      options, words, rest = {}, [], arguments.dup
      while (argument = rest.shift)
        if flags.include?(argument) then options[argument] = true
        elsif valued.include?(argument) then options[argument] = rest.shift or return nil
        elsif argument.start_with?('--') then return nil
        else words << argument
        end
      end
      @data = File.expand_path(options.fetch('--data', @usual))
      [options, words]
    end

    def file
      File.join(@data, 'studio.sqlite3')
    end

    # @yieldparam studio [Store::Studio] @yieldreturn [Integer] exit status
    def with_studio
      return no_studio unless File.file?(file)

      studio = Store::Studio.new(file)
      yield studio
    ensure
      studio&.close
    end

    def no_studio
      @refuse.call("There is no studio in #{@data}. Start it once with bin/start, or name its folder with --data.")
    end
  end
end
