# frozen_string_literal: true

source 'https://rubygems.org'

# Passwords of the accounts of a shared studio.
gem 'bcrypt', '~> 3.1'
# From 1.14 on it uses syntax that Ruby 3.1.2 cannot read.
gem 'dry-schema', '~> 1.13.4'
gem 'dry-validation', '~> 1.10.0'
# An integer-program solver, with its library: chooses packs and suppliers.
gem 'highs', '~> 0.2.6'
gem 'i18n', '~> 1.14'
gem 'icalendar', '~> 2.13'
gem 'json_schemer', '~> 2.4'
# Writes letters as files that mail programs open.
gem 'mail', '~> 2.8'
# Solves for what is learnt in the middle of a class.
gem 'matrix', '~> 0.4'
gem 'prawn', '~> 2.5'
gem 'prawn-svg', '~> 0.40.4'
gem 'prawn-table', '~> 0.2.2'
gem 'puma', '~> 8.0'
# Slows down whoever tries passwords.
gem 'rack-attack', '~> 6.8'
gem 'rack-protection', '~> 4.2'
gem 'rack-session', '~> 2.1'
gem 'rackup', '~> 2.3'
# Accounts: signing in, locking out, ending sessions, new passwords.
gem 'rodauth', '~> 2.49'
# Works out the squares of a code that holds a text; drawn here.
gem 'rqrcode_core', '~> 1.2'
# Zips the file that a whole studio is carried in.
gem 'rubyzip', '~> 2.4'
gem 'sequel', '~> 5.110'
gem 'sinatra', '~> 4.2'
# 1.7 ships a compiled library; 2.x compiles SQLite for minutes on a fresh machine.
gem 'erubi', '~> 1.13'
gem 'sqlite3', '~> 1.7.3'
gem 'zeitwerk', '~> 2.6'

group :test do
  gem 'axe-core-api', '~> 4.10'
  gem 'axe-core-rspec', '~> 4.10'
  gem 'capybara', '~> 3.40'
  # 1.17 ships compiled for Ruby 3.1; later releases do not.
  gem 'nokogiri', '~> 1.17.2'
  gem 'pdf-reader', '~> 2.14'
  gem 'rack-test', '~> 2.1'
  gem 'rspec', '~> 3.13'
  gem 'rubocop', '~> 1.70', require: false
  gem 'selenium-webdriver', '~> 4.32.0'
end
