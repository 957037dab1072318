import { Button } from '../../shared/ui/Button';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useRef } from 'react';
import { Link } from 'react-router';
import { importDrills } from '../../shared/api/bookQueries';
import { ApiError } from '../../shared/api/client';
import { keys } from '../../shared/api/keys';

const mostBytes = 1_000_000;

/** Drills out of a file of the open format: all of them, or none with every fault by where it stands. */
export function ImportDrills({ squadId }: { squadId: number }) {
  const input = useRef<HTMLInputElement>(null);
  const queryClient = useQueryClient();
  const take = useMutation({
    mutationFn: async (file: File) => {
      if (file.size > mostBytes) throw new ApiError('invalid', 'A drill file holds at most 1 MB. Split it.');
      return importDrills(squadId, await file.text());
    },
    onSuccess: () => queryClient.invalidateQueries({ queryKey: keys.drills(squadId) }),
  });
  const fields = take.error instanceof ApiError ? take.error.fields : [];
  return (
    <section className="tight">
      <h2>Drills from a file</h2>
      <p className="quiet">A fleet-sparrow/drill file, as every drill here can be saved. It is taken whole, as drills of your own.</p>
      <p>
        <Button onClick={() => input.current?.click()} disabled={take.isPending}>
          {take.isPending ? 'Reading …' : 'Choose a file'}
        </Button>
        <input
          ref={input}
          type="file"
          accept="application/json,.json"
          className="sr"
          tabIndex={-1}
          aria-label="Drill file"
          onChange={(event) => {
            const file = event.target.files?.[0];
            // The same file may be chosen again once it is mended.
            event.target.value = '';
            if (file) take.mutate(file);
          }}
        />
      </p>
      {take.isError && (
        <div className="notice" role="alert">
          <p>{fields.length === 0 ? take.error.message : 'Nothing was taken. Mend these and choose the file again:'}</p>
          <ul>
            {fields.map((field) => (
              <li key={`${field.path} ${field.message}`}>
                <code>{field.path}</code>: {field.message}
              </li>
            ))}
          </ul>
        </div>
      )}
      {take.data && (
        <p className="note" role="status">
          Taken:{' '}
          {take.data.taken.map(({ slug, name }, i) => (
            <span key={slug}>
              {i > 0 && ', '}
              <Link to={`/book/drills/${slug}`}>{name}</Link>
            </span>
          ))}
          .
        </p>
      )}
    </section>
  );
}
