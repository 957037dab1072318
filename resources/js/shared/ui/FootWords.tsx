import { createContext, useContext } from 'react';
import type { FootWording } from '../lib/format';

/** What the squad in view calls the foot that is not the strong one. */
export const FootWords = createContext<FootWording>('other');
export const useFootWording = (): FootWording => useContext(FootWords);
