import { askEarly } from '../shared/api/early';
import { noted } from '../shared/lib/deviceNotes';

/* Comes before the libraries, which take a phone long to start: what the run shows first is on its way meanwhile. */
const id = /^\/run\/(\d+)/.exec(location.pathname)?.[1];
// Where nobody is remembered, a sign-in comes before it.
if (id !== undefined && noted('account') !== undefined) void askEarly(`/sessions/${id}/run`);
