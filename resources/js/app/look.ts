import '@fontsource/atkinson-hyperlegible-next/latin-400.css';
import '@fontsource/atkinson-hyperlegible-next/latin-700.css';
import '@fontsource/atkinson-hyperlegible-next/latin-ext-400.css';
import '@fontsource/atkinson-hyperlegible-next/latin-ext-700.css';
import '@fontsource/sofia-sans-condensed/latin-800.css';
import './theme/app.css';

/** Before the first drawing, so that it is not laid out twice. */
export function askForFonts(): void {
  for (const font of ['400 1em "Atkinson Hyperlegible Next"', '700 1em "Atkinson Hyperlegible Next"', '800 1em "Sofia Sans Condensed"'])
    void document.fonts.load(font).catch(() => undefined);
}
