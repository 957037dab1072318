/** What went wrong with a form as a whole, in a sentence; nothing when nothing did. */
export function FormFault({ sentence }: { sentence: string | undefined }) {
  if (sentence === undefined) return null;
  return (
    <p className="notice" role="alert">
      {sentence}
    </p>
  );
}
