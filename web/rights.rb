# frozen_string_literal: true

module Web
  # What each role may ask for in a shared studio. Every route stands here once; what does not stand here is refused to all.
  # (OWASP Cheat Sheet Series: Authorization: deny by default, least privilege.)
  module Rights
    # any: everyone who is signed in · look: plans and prints · evening: what is shown on the evening · live: Live itself
    # plan: all that an instructor does · own: accounts, safe keeping, and what cannot be undone
    OF_ROLES = {
      viewer: %i[any look evening],
      helper: %i[any evening live],
      instructor: %i[any look evening live plan],
      owner: %i[any look evening live plan own]
    }.freeze

    ROUTES = {
      any: <<~ROUTES,
        GET /invited/:code
        POST /invited/:code
        GET /keys
        GET /account
        GET /live
        GET /not-allowed
        POST /settings/theme
      ROUTES
      look: <<~ROUTES,
        GET /
        GET /classes/held
        GET /classes/:id
        GET /classes/:id/:place
        GET /classes/:id.json
        GET /classes/:id.ics
        GET /classes/:id/changes
        GET /classes/:id/course
        GET /classes/:id/reach
        GET /classes/:id/variants
        GET /projects/:key/sample
        GET /projects/:key/sample/sheet
        GET /classes/:id/handouts
        GET /classes/:id/true-size
        GET /classes/:id/cards
        GET /classes/:id/wordless
        GET /classes/:id/board
        GET /classes/:id/labels
        GET /classes/:id/log.csv
        GET /classes/:id/order.csv
        GET /classes/:id/packing
        GET /classes/:id/choices
        GET /classes/:id/checks
        GET /classes/:id/pieces
        GET /classes/:id/print
        GET /classes/:id/projects
        GET /classes/:id/run-sheet
        GET /fit-check
        GET /fit-check.json
        GET /gauge
        GET /gauge.json
        GET /ladder
        GET /projects
        GET /stockroom
        GET /stockroom/:table/:key
        GET /stockroom/:table/:key/stock
        GET /stockroom/suppliers
        GET /techniques
        GET /techniques/learnt
      ROUTES
      evening: <<~ROUTES,
        GET /classes/:id/home
        GET /classes/:id/screen
      ROUTES
      live: <<~ROUTES,
        GET /classes/:id/live
        POST /classes/:id/live
        POST /classes/:id/live/people
      ROUTES
      plan: <<~ROUTES,
        GET /classes/:id/file
        GET /classes/:id/notes
        GET /classes/:id/people/known
        GET /classes/:id/people/paste
        GET /classes/new
        GET /drafts/:id
        GET /drafts/:id.svg
        GET /drafts/:id/charts/:at.csv
        GET /import
        GET /jobs/:job
        GET /jobs/:job/file
        GET /people
        GET /projects/new
        GET /stockroom/:table/new
        GET /stockroom/metals
        GET /stockroom/prices
        GET /stockroom/prices/:job
        POST /classes
        POST /classes/:id/by-hand
        POST /classes/:id/course
        POST /classes/:id/cure
        POST /classes/:id/forecast
        POST /classes/:id/forecast/stop
        POST /classes/:id/levers
        POST /classes/:id/levers/apply
        POST /classes/:id/levers/stop
        GET /classes/:id/missing-prices
        POST /classes/:id/missing-prices
        POST /classes/:id/note
        POST /classes/:id/order
        POST /classes/:id/order/cancel
        POST /classes/:id/packing
        POST /classes/:id/pdf
        POST /classes/:id/people
        POST /classes/:id/people/:key
        POST /classes/:id/people/:key/more
        POST /classes/:id/people/:key/needs
        POST /classes/:id/people/:key/remove
        POST /classes/:id/people/assumed-size
        POST /classes/:id/people/known
        POST /classes/:id/people/paste
        POST /classes/:id/people/several
        POST /classes/:id/phones
        POST /classes/:id/piece
        POST /classes/:id/practice
        POST /classes/:id/put-back
        POST /classes/:id/receive
        POST /classes/:id/redo
        POST /classes/:id/remove
        POST /classes/:id/repeat
        POST /classes/:id/reserve-first
        POST /classes/:id/restore
        POST /classes/:id/session
        POST /classes/:id/settings
        POST /classes/:id/steps
        POST /classes/:id/supply
        GET /classes/:id/invitation
        GET /classes/:id/invitation/sheet
        POST /classes/:id/invitation
        POST /classes/:id/invitation/close
        POST /classes/:id/invitation/reminders
        POST /classes/:id/invitation/:answer/accept
        POST /classes/:id/invitation/:answer/decline
        POST /classes/:id/swatch
        POST /classes/:id/take
        POST /classes/:id/teaching
        POST /classes/:id/undo
        POST /classes/:id/way
        POST /classes/:id/way/back
        POST /drafts/:id
        POST /drafts/:id/back
        POST /drafts/:id/discard
        POST /drafts/:id/forward
        POST /drafts/:id/save
        POST /drafts/:id/settings
        POST /import
        POST /jobs/:job/stop
        POST /measures
        POST /people/merge
        POST /projects
        POST /projects/:key/compose
        POST /projects/:key/sample
        POST /projects/:key/sample/remove
        POST /stockroom/:table
        POST /stockroom/:table/:key
        POST /stockroom/:table/:key/hide
        POST /stockroom/:table/:key/offers
        POST /stockroom/:table/:key/offers/remove
        POST /stockroom/:table/:key/remove
        POST /stockroom/:table/:key/stock
        POST /stockroom/metals
        POST /stockroom/prices
        POST /stockroom/prices/:job
        POST /stockroom/suppliers
        POST /stockroom/suppliers/:key/remove
        POST /techniques/learnt
        POST /techniques/learnt/back
        POST /techniques/learnt/fade
        POST /techniques/learnt/fix
        POST /techniques/paces
      ROUTES
      own: <<~ROUTES
        GET /accounts
        GET /people/export.json
        GET /safe-keeping
        GET /safe-keeping/studio.zip
        GET /safe-keeping/studio/:file
        GET /safe-keeping/copies/:name
        GET /safe-keeping/copies/:name/restore
        POST /accounts
        POST /accounts/:id
        POST /accounts/:id/link
        POST /accounts/:id/remove
        POST /classes/:id/people/:key/erase
        POST /people/erase
        POST /people/erase/copies
        POST /safe-keeping/copies
        POST /safe-keeping/copies/:name/restore
        POST /safe-keeping/copies/file
        POST /safe-keeping/kept
        POST /safe-keeping/names
        POST /safe-keeping/studio
        POST /safe-keeping/studio/:file
        POST /settings/currency
        POST /settings/open-rings
        POST /settings/unit
      ROUTES
    }.transform_values { |text| text.split("\n") }.freeze

    OF_ROUTES = ROUTES.flat_map { |right, routes| routes.map { |route| [route, right] } }.to_h.freeze

    module_function

    # @return [Boolean] whether a role has a right
    def allow?(role, right)
      OF_ROLES.fetch(role).include?(right)
    end

    # @param route [String, nil] such as "POST /classes/:id/people" @return [Boolean]
    def open_to?(role, route)
      right = OF_ROUTES[route]
      !right.nil? && allow?(role, right)
    end
  end
end
