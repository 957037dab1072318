import { Button } from '../../shared/ui/Button';
import { useState } from 'react';
import { useMutation } from '@tanstack/react-query';
import { addGuests } from '../../shared/api/runQueries';
import type { Player, RunPack } from '../../shared/api/schemas';
import { bibName, freeBibs } from '../../shared/lib/bibs';
import { many } from '../../shared/lib/format';
import { unknownFor, type Roster } from './reseat';

interface WhoIsHereProps {
  pack: RunPack;
  roster: Roster;
  /** False where nobody can be seated like that without a network. */
  onSeat: (roster: Roster, guests: Player[]) => boolean;
  onClose: () => void;
}

const choices = [
  ['here', 'here'],
  ['serves', 'serves'],
  ['away', 'away'],
] as const;
type Choice = (typeof choices)[number][0];

/** Late, gone home, hurt, only serving today: one press a player, and everybody has a place again. */
export function WhoIsHere({ pack, roster, onSeat, onClose }: WhoIsHereProps) {
  const [now, setNow] = useState(roster);
  const [guests, setGuests] = useState<Player[]>([]);
  const everybody = [...pack.players, ...pack.others, ...guests].sort((a, b) => a.name.localeCompare(b.name));
  const choiceOf = (id: number): Choice => (now.working.includes(id) ? 'here' : now.serving.includes(id) ? 'serves' : 'away');
  const choose = (id: number, choice: Choice) => {
    const without = (ids: number[]) => ids.filter((one) => one !== id);
    // Whoever was there keeps the place in the order; who comes back comes last.
    const working = choice !== 'here' ? without(now.working) : now.working.includes(id) ? now.working : [...now.working, id];
    setNow({ working, serving: choice === 'serves' ? [...without(now.serving), id] : without(now.serving) });
  };
  const guest = useMutation({
    mutationFn: () => addGuests(pack.session.squadId, freeBibs(everybody, 1)),
    onSuccess: ({ players }) => {
      setGuests((before) => [...before, ...players]);
      setNow((before) => ({ ...before, working: [...before.working, ...players.map(({ id }) => id)] }));
    },
    networkMode: 'always',
  });
  const isSame = [...now.working].sort().join() === [...roster.working].sort().join() && [...now.serving].sort().join() === [...roster.serving].sort().join();
  const sizes = pack.tables.map((table) => table.size);
  const unknown = unknownFor(pack, now);
  return (
    <>
      <h1>Who is here</h1>
      <p>
        {many(now.working.length, 'player')}
        {now.serving.length > 0 && `, ${now.serving.length} only serving`}. What is done stands; whoever was together stays together where that works out.
      </p>
      <ul className="here-list">
        {everybody.map((player) => (
          <li key={player.id}>
            <fieldset>
              <legend>{player.bib === null || player.name === bibName(player.bib) ? player.name : `${player.bib} ${player.name}`}</legend>
              {choices.map(([choice, words]) => (
                <label key={choice}>
                  <input type="radio" name={`here-${player.id}`} checked={choiceOf(player.id) === choice} onChange={() => choose(player.id, choice)} />
                  {words}
                </label>
              ))}
            </fieldset>
          </li>
        ))}
      </ul>
      <div className="acts-line">
        <Button disabled={guest.isPending} onClick={() => guest.mutate()}>
          A guest comes: bib {freeBibs(everybody, 1)[0]}
        </Button>
      </div>
      {guest.error && (
        <p className="warn" role="alert">
          A guest needs the network for a moment. {guest.error.message}
        </p>
      )}
      <div className="grow" />
      <div className="thumb">
        {unknown && (
          <p className="warn whole" role="alert">
            {unknown.working < now.working.length && `Of these ${unknown.working} may work in ${unknown.block.title}. `}
            This phone can seat {sizes.length > 0 ? `${Math.min(...sizes)} to ${Math.max(...sizes)}` : 'only those who were planned'}. For more or fewer, change
            who comes in the plan and open the run anew.
          </p>
        )}
        <Button className="half" onClick={onClose}>
          As it was
        </Button>
        <Button className="half" variant="contained" disabled={unknown !== undefined || isSame} onClick={() => onSeat(now, guests)}>
          Seat them
        </Button>
      </div>
    </>
  );
}
