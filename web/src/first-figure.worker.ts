/** The first figure or date that a browser writes out holds its thread for 20 to 60 ms, whichever thread that is. */
new Intl.DateTimeFormat('en-GB').format(0)
postMessage('written')
