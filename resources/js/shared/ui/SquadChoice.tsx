import { createContext, useContext, useEffect, useMemo, useState, type ReactNode } from 'react';
import type { SquadRef } from '../api/schemas';
import { note, noted } from '../lib/deviceNotes';
import { FootWords } from './FootWords';

interface SquadChoiceValue {
  squadId: number;
  squad: SquadRef | undefined;
  squads: SquadRef[];
  choose: (squadId: number) => void;
}
const Context = createContext<SquadChoiceValue>({ squadId: 0, squad: undefined, squads: [], choose: () => {} });

/** Which of the coach's squads the views show; remembered on the device. */
export function SquadChoice({ squads, children }: { squads: SquadRef[]; children: ReactNode }) {
  const [chosen, setChosen] = useState(() => Number(noted('squad')));
  const squad = squads.find(({ id }) => id === chosen) ?? squads[0];
  const shown = squad?.id;
  useEffect(() => {
    if (shown !== undefined) note('squad', String(shown));
  }, [shown]);
  const value = useMemo<SquadChoiceValue>(
    () => ({
      squadId: squad?.id ?? 0,
      squad,
      squads,
      choose: setChosen,
    }),
    [squad, squads],
  );
  return (
    <Context value={value}>
      <FootWords value={squad?.footWording ?? 'other'}>{children}</FootWords>
    </Context>
  );
}

export const useSquadId = (): SquadChoiceValue => useContext(Context);
