import { queryOptions } from '@tanstack/react-query';
import { callApi, getJson } from './client';
import type { components } from './openapi';
import { keys } from './keys';
import { read, readerOf } from './read';

const readStaff = readerOf(() => import('./staffSchemas'));

type Described = components['schemas'];
const nothing = read('nothing');

export const signInsQuery = queryOptions({ queryKey: keys.signIns, queryFn: ({ signal }) => getJson('/sign-ins', readStaff('signIns'), signal) });
export const endSignIn = (id: number) => callApi(`/sign-ins/${id}`, nothing, { method: 'DELETE' });
export const changePassword = (body: Described['PasswordFields']) => callApi('/me/password', read('anything'), { method: 'PUT', body });

export const peopleQuery = queryOptions({ queryKey: keys.people, queryFn: ({ signal }) => getJson('/club/people', readStaff('people'), signal) });
export const changePerson = (id: number, body: Described['PersonFields']) => callApi(`/club/people/${id}`, readStaff('person'), { method: 'PUT', body });
export const removePerson = (id: number) => callApi(`/club/people/${id}`, nothing, { method: 'DELETE' });
export const makeResetLink = (id: number) => callApi(`/club/people/${id}/reset-link`, readStaff('resetLink'), { method: 'POST' });
export const invite = (body: Described['InvitationFields']) => callApi('/club/invitations', readStaff('invitationMade'), { method: 'POST', body });
export const takeBackInvitation = (id: number) => callApi(`/club/invitations/${id}`, nothing, { method: 'DELETE' });
export const addSquad = (body: Described['SquadFields']) => callApi('/club/squads', read('made'), { method: 'POST', body });

export const invitationQuery = (token: string) =>
  queryOptions({
    queryKey: keys.invitation(token),
    queryFn: ({ signal }) => getJson(`/invitations/${encodeURIComponent(token)}`, readStaff('invitationOffer'), signal),
    retry: false,
  });
export const acceptInvitation = (token: string, body: Described['AcceptFields']) =>
  callApi(`/invitations/${encodeURIComponent(token)}`, read('me'), { method: 'POST', body });

/** The path of the page and its signed query are those of the API. */
export const resetQuery = (account: string, signed: string) =>
  queryOptions({
    queryKey: keys.reset(account, signed),
    queryFn: ({ signal }) => getJson(`/password-resets/${account}${signed}`, readStaff('resetOffer'), signal),
    retry: false,
  });
export const resetPassword = (account: string, signed: string, body: Described['NewPasswordFields']) =>
  callApi(`/password-resets/${account}${signed}`, readStaff('resetOffer'), { method: 'POST', body });
export const askForReset = (email: string) => callApi('/password-resets', readStaff('mailed'), { method: 'POST', body: { email } });

/** Where a set of settings lives; the same path is read and written. */
export type SettingsPath = '/club/settings' | `/squads/${number}/settings`;
export const settingsQuery = (path: SettingsPath) =>
  queryOptions({ queryKey: keys.settings(path), queryFn: ({ signal }) => getJson(path, readStaff('settings'), signal) });
export const keepSettings = (path: SettingsPath, version: number, values: Record<string, string | number | null>) =>
  callApi(path, readStaff('settings'), { method: 'PUT', body: values, headers: { 'If-Match': `"${version}"` } });
/** Fifty entries of the club's trail, from before the one given. */
export const trailPage = (before: number | undefined, signal: AbortSignal) =>
  getJson(before === undefined ? '/club/trail' : `/club/trail?before=${before}`, readStaff('clubTrail'), signal);

export const playerNoteQuery = (playerId: number) =>
  queryOptions({ queryKey: keys.note(playerId), queryFn: ({ signal }) => getJson(`/players/${playerId}/note`, readStaff('playerNote'), signal) });
export const keepNote = (playerId: number, note: string) => callApi(`/players/${playerId}/note`, readStaff('playerNote'), { method: 'PUT', body: { note } });
export const erasePlayer = (playerId: number) => callApi(`/players/${playerId}`, nothing, { method: 'DELETE' });

export const lineTriesQuery = (playerId: number, lineKey: string) =>
  queryOptions({
    queryKey: keys.line(playerId, lineKey),
    queryFn: ({ signal }) => getJson(`/players/${playerId}/lines/${lineKey}`, readStaff('lineTries'), signal),
  });
