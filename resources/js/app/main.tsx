import { askForFonts } from './look';
import { keepOpenable } from '../shared/lib/openable';
import { App } from './App';
import { draw } from './draw';
import { queryClient } from './queryClient';
import { readAhead } from './readAhead';
import { router } from './router';

askForFonts();
void draw(<App />, readAhead(queryClient, router, location.pathname));
keepOpenable();
