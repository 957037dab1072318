/** A beat that goes on while the page is out of sight, where the page's own timers are slowed down. */
setInterval(() => postMessage(0), 100);
